<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Actions\WorkshopFile;
use App\Exceptions\Refused;
use App\View\AccountDesk;
use Hebra\Core\Problem;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;
use Illuminate\Http\Response;
use Illuminate\Http\UploadedFile;

/** The whole workshop as one file, out and in. */
final class WorkshopFileController extends Controller
{
    public function export(Request $request, WorkshopFile $file): Response
    {
        return response($file->write($this->workshop($request)), 200, ['Content-Type' => 'application/json', 'Content-Disposition' => 'attachment; filename="workshop.hebra.json"']);
    }

    public function import(Request $request, WorkshopFile $files): RedirectResponse|Response
    {
        try {
            $file = $request->file('file');
            $file instanceof UploadedFile || throw Refused::invalid('file', 'No file came: choose a workshop that Hebra exported (.json).');
            $file->isValid() && $file->getSize() <= WorkshopFile::MOST_BYTES || throw Refused::invalid('file', 'The file is larger than 100 MB or did not arrive whole.');
            $files->read($this->workshop($request), $file->getContent());
        } catch (Problem $problem) {
            return $this->again(view('account.show', ['desk' => new AccountDesk($this->maker($request))]), $problem);
        }

        return redirect('/', 303)->with('said', 'The workshop is as it was when it was exported.');
    }
}
