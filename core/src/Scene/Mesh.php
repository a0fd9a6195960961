<?php

declare(strict_types=1);

namespace Hebra\Core\Scene;

use Hebra\Core\Course\Vector;

/** A surface of triangles, millimetres: its corners, which way it faces in each, and three corners a triangle. */
final class Mesh
{
    /** @var list<Vector> */
    public array $corners = [];

    /** @var list<Vector> */
    public array $normals = [];

    /** @var list<int> three a triangle, counterclockwise seen from outside */
    public array $triangles = [];

    public function corner(Vector $at, Vector $normal): int
    {
        $this->corners[] = $at;
        $this->normals[] = $normal;

        return count($this->corners) - 1;
    }

    public function triangle(int $one, int $two, int $three): void
    {
        array_push($this->triangles, $one, $two, $three);
    }

    /**
     * A skin between two rings of as many corners each.
     *
     * @param  list<int>  $near
     * @param  list<int>  $far
     */
    public function skin(array $near, array $far): void
    {
        foreach ($near as $at => $one) {
            $next = ($at + 1) % count($near);
            $this->triangle($one, $near[$next], $far[$at]);
            $this->triangle($near[$next], $far[$next], $far[$at]);
        }
    }
}
