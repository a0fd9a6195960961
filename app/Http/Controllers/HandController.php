<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Actions\Fields;
use App\Models\Tool;
use App\Models\Workshop;
use Hebra\Core\Problem;
use Hebra\Core\Quantity\Length;
use Hebra\Core\Quantity\OneOf;
use Hebra\Core\Quantity\OutOfRange;
use Hebra\Core\Quantity\Text;
use Hebra\Core\Quantity\Unreadable;
use Hebra\Core\School\School;
use Hebra\Core\School\Schools;
use Hebra\Core\Tool\Tool as CoreTool;
use Hebra\Core\Tool\ToolKind;
use Hebra\Core\Wire\Metal;
use Hebra\Core\Wire\Strength;
use Illuminate\Contracts\View\View;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;
use Illuminate\Http\Response;
use Illuminate\Support\Facades\Gate;

/** The maker's tools, schools and own figures for metals: what plans are made with. */
final class HandController extends Controller
{
    private const MOST_TOOLS = 40;

    private const FIRST_METALS = ['sterling', 'copper', 'gold-filled', 'brass'];

    private const MOST_METALS = 9;

    public function show(Request $request): View
    {
        $workshop = $this->workshop($request);
        $asked = $request->route('metal') ?? $request->query('metal');

        return view('hand.show', [
            'profile' => $workshop->profile(), 'tools' => $workshop->tools()->get(), 'problem' => null, 'at' => '',
            'school' => $this->school($request), 'metals' => $this->metals($workshop),
            'metal' => is_string($asked) ? Metal::tryFrom($asked) : null,
        ]);
    }

    /** Which way of working is open. */
    private function school(Request $request): ?School
    {
        $asked = $request->query('school') ?? $request->input('open');

        return is_string($asked) ? School::tryFrom($asked) : null;
    }

    /** @return list<Metal> those of the stock and those the maker measured, after the ones most begin with */
    private function metals(Workshop $workshop): array
    {
        /** @var list<string> $used */
        $used = $workshop->lots()->distinct()->pluck('metal')->all();
        $values = [...self::FIRST_METALS, ...array_keys($workshop->strengths ?? []), ...$used];

        return array_map(Metal::from(...), array_slice(array_values(array_unique($values)), 0, self::MOST_METALS));
    }

    public function schools(Request $request): RedirectResponse|Response
    {
        $workshop = $this->workshop($request);
        try {
            $chosen = $workshop->profile()->schools->toArray();
            foreach (School::cases() as $school) {
                if ($request->has($school->value)) {
                    $chosen[$school->value] = $this->text($request, $school->value);
                }
            }
            $workshop->update(['schools' => Schools::of($chosen)->toArray()]);
        } catch (Problem $problem) {
            return $this->refused($request, $problem, 'schools');
        }
        $workshop->settled();
        if ($request->hasHeader('HX-Request')) {
            return response(view('hand.schools', [
                'profile' => $workshop->profile(), 'saved' => true, 'open' => $this->school($request),
            ])->render());
        }

        return redirect('/hand#schools', 303)->with('said', 'Saved: new plans follow it.');
    }

    public function addTool(Request $request): RedirectResponse|Response
    {
        $workshop = $this->workshop($request);
        try {
            $workshop->tools()->count() < self::MOST_TOOLS
                || throw OutOfRange::tooMany('tools', self::MOST_TOOLS + 1, self::MOST_TOOLS, 'tools');
            $tool = $this->read($request, $workshop);
            Tool::query()->create([...Tool::columns($tool), 'workshop_id' => $workshop->id]);
        } catch (Problem $problem) {
            return $this->refused($request, $problem, 'new');
        }

        return redirect('/hand#tools', 303)->with(
            'said',
            ucfirst($tool->name).' is in your tools: steps name it from now on.',
        );
    }

    public function changeTool(Request $request, Tool $tool): RedirectResponse|Response
    {
        Gate::authorize('update', $tool);
        try {
            $tool->update(Tool::columns($this->read($request, $this->workshop($request))));
        } catch (Problem $problem) {
            return $this->refused($request, $problem, $tool->ulid);
        }

        return redirect('/hand#tools', 303)->with('said', 'Saved.');
    }

    public function dropTool(Tool $tool): RedirectResponse
    {
        Gate::authorize('update', $tool);
        $tool->delete();

        return redirect('/hand#tools', 303)->with('said', ucfirst($tool->name).' is taken off.')->with(
            'tool',
            [
                'kind' => $tool->kind, 'name' => $tool->name, 'marks' => $tool->core()->marksText(),
                'grip' => ($tool->grip_um / 1000).' mm',
            ],
        );
    }

    private function read(Request $request, Workshop $workshop): CoreTool
    {
        $input = $this->texts($request, 'kind', 'name', 'marks', 'grip');
        $unit = $workshop->profile()->unit();
        $kind = OneOf::read(ToolKind::class, $input['kind'], 'kind');
        $fields = new Fields;
        $marks = $fields->read(fn (): array => trim($input['marks']) === ''
            ? throw Unreadable::empty('marks', $kind->hint())
            : CoreTool::readMarks($kind, $input['marks'], $unit));
        $grip = $fields->read(fn (): float => trim($input['grip']) === ''
            ? 0.0
            : Length::parse($input['grip'], 'grip', $unit)->millimetres());
        $fields->check();

        return CoreTool::of($kind, $input['name'], $marks->value(), $grip->value());
    }

    public function metal(Request $request, string $metal): RedirectResponse|Response
    {
        $of = Metal::tryFrom($metal) ?? abort(404);
        $workshop = $this->workshop($request);
        $own = $workshop->strengths ?? [];
        if ($this->text($request, 'do') === 'usual') {
            unset($own[$of->value]);
        } else {
            try {
                $values = array_map(
                    fn (string $field): float => $this->number($request, $field),
                    [
                        'modulus_gpa' => 'modulus', 'soft_mpa' => 'soft', 'half_hard_mpa' => 'half_hard',
                        'hard_mpa' => 'hard',
                    ],
                );
                Strength::of(
                    $values['modulus_gpa'], $values['soft_mpa'], $values['half_hard_mpa'], $values['hard_mpa'],
                    'your own value',
                );
                $own[$of->value] = $values;
            } catch (Problem $problem) {
                return $this->refused($request, $problem, 'metal');
            }
        }
        $workshop->update(['strengths' => $own === [] ? null : $own]);

        return redirect('/hand?metal='.$of->value.'#metals', 303)->with(
            'said',
            ucfirst(
                $of->words(),
            ).($this->text($request, 'do') === 'usual' ? ' is as books have it.' : ' is as you measured it.'),
        );
    }

    private function number(Request $request, string $field): float
    {
        $text = $this->text($request, $field);

        return Text::number(Text::plain($text, $field, 'a number')) ?? throw Unreadable::number($field, $text);
    }

    private function refused(Request $request, Problem $problem, string $at): Response
    {
        return $this->again($this->show($request)->with('at', $at), $problem);
    }
}
