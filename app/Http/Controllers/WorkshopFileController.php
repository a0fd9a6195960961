<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Actions\WorkshopFile;
use App\Actions\WorkshopPackage;
use App\Exceptions\Refused;
use App\Http\Middleware\SessionOfHere;
use App\Support\Copies;
use App\View\AccountDesk;
use Hebra\Core\Problem;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;
use Illuminate\Http\Response;
use Illuminate\Http\UploadedFile;
use Symfony\Component\HttpFoundation\BinaryFileResponse;

/** The whole workshop as one file, out and in. */
final class WorkshopFileController extends Controller
{
    public function __construct(private readonly WorkshopPackage $package)
    {
    }

    public function export(Request $request): BinaryFileResponse
    {
        $path = (string) tempnam(sys_get_temp_dir(), 'hebra-workshop-');
        $this->package->write($this->workshop($request), $path);

        return response()->download(
            $path,
            'workshop-'.now()->format('Y-m-d').'.hebra.zip',
            ['Content-Type' => 'application/zip'],
        )->deleteFileAfterSend();
    }

    public function import(Request $request, WorkshopFile $files): RedirectResponse|Response
    {
        $workshop = $this->workshop($request);
        try {
            $file = $request->file('file');
            $file instanceof UploadedFile
                || throw Refused::invalid(
                    'file',
                    'No file came: choose a workshop that Hebra exported (.zip, or an older .json).',
                );
            $file->isValid()
                || throw Refused::invalid(
                    'file',
                    'The file did not arrive whole: send it again. One that is too large for the page comes in with '
                        .'./hebra restore FILE.',
                );
            if ($files->isEmpty($workshop) || ! $request->boolean('replace')) {
                $this->package->read($workshop, $file->getRealPath());

                return redirect('/', 303)->with('said', 'The workshop is as it was when it was exported.');
            }
            Copies::before('replacing');
            $new = $this->package->replace($workshop, $file->getRealPath());
            $request->session()->put(SessionOfHere::KEY, $new->ulid);
        } catch (Problem $problem) {
            return $this->again(view('account.show', ['desk' => new AccountDesk($this->maker($request))]), $problem);
        }

        return redirect('/', 303)->with(
            'said',
            'The workshop is as it was when it was exported. What was here before is kept as a copy.',
        );
    }
}
