<?php

declare(strict_types=1);

use App\Http\Controllers\AccountController;
use App\Http\Controllers\BenchController;
use App\Http\Controllers\BillController;
use App\Http\Controllers\BoxController;
use App\Http\Controllers\CutListController;
use App\Http\Controllers\CuttingController;
use App\Http\Controllers\FindController;
use App\Http\Controllers\FormingController;
use App\Http\Controllers\HandController;
use App\Http\Controllers\LeafletController;
use App\Http\Controllers\LearnedController;
use App\Http\Controllers\MakingController;
use App\Http\Controllers\PatternController;
use App\Http\Controllers\PieceController;
use App\Http\Controllers\PieceFileController;
use App\Http\Controllers\PlanController;
use App\Http\Controllers\PracticeController;
use App\Http\Controllers\RecordController;
use App\Http\Controllers\RepairController;
use App\Http\Controllers\ScaleController;
use App\Http\Controllers\SeenController;
use App\Http\Controllers\SessionController;
use App\Http\Controllers\SignUpController;
use App\Http\Controllers\StageController;
use App\Http\Controllers\StockController;
use App\Http\Controllers\SumController;
use App\Http\Controllers\SupplyController;
use App\Http\Controllers\TableImportController;
use App\Http\Controllers\VariantController;
use App\Http\Controllers\WeaveController;
use App\Http\Controllers\WorkshopFileController;
use App\Http\Controllers\YearController;
use App\Http\Middleware\KeptPages;
use App\Http\Middleware\Writes;
use Illuminate\Support\Facades\Route;

Route::middleware('guest')->group(function (): void {
    Route::get('/sign-in', [SessionController::class, 'create'])->name('sign-in');
    Route::post('/sign-in', [SessionController::class, 'store'])->withoutMiddleware(Writes::class);
    Route::get('/sign-up', [SignUpController::class, 'create']);
    Route::post('/sign-up', [SignUpController::class, 'store'])->withoutMiddleware(Writes::class);
    Route::get('/join/{token}', [SignUpController::class, 'invited']);
    Route::post('/join/{token}', [SignUpController::class, 'join'])->withoutMiddleware(Writes::class);
    Route::post('/enter-demo', [SessionController::class, 'demo']);
});

Route::middleware('auth')->group(function (): void {
    Route::get('/', BenchController::class)->name('bench');
    Route::post('/sign-out', [SessionController::class, 'destroy']);
    Route::get('/account', [AccountController::class, 'show']);
    Route::get('/account/workshop.zip', [WorkshopFileController::class, 'export']);
    Route::post('/account/workshop', [WorkshopFileController::class, 'import'])->withoutMiddleware(Writes::class);
    Route::put('/account/light', [AccountController::class, 'light'])->withoutMiddleware(Writes::class);
    Route::put('/account/units', [AccountController::class, 'units']);
    Route::put('/account/password', [AccountController::class, 'password'])->withoutMiddleware(Writes::class);
    Route::post('/account/invitations', [AccountController::class, 'invite']);
    Route::delete('/account', [AccountController::class, 'destroy'])->withoutMiddleware(Writes::class);

    Route::middleware(KeptPages::class)->group(function (): void {
        Route::get('/pieces', [PieceController::class, 'index']);
        Route::get('/sums', [SumController::class, 'index']);
        Route::get('/patterns', [PatternController::class, 'index']);
        Route::get('/plan', [PlanController::class, 'show']);
        Route::get('/plan/fits', [PlanController::class, 'fits']);
        Route::get('/plan/to-buy', [PlanController::class, 'toBuy']);
        Route::get('/box', [BoxController::class, 'index']);
        Route::get('/stock', [StockController::class, 'index']);
        Route::get('/stock/months', [YearController::class, 'show']);
        Route::get('/stock/statement', [YearController::class, 'statement']);
        Route::get('/stock/book', [StockController::class, 'book']);
        Route::get('/hand/learned', [LearnedController::class, 'show']);
        Route::get('/insight', [LearnedController::class, 'insight']);
        Route::get('/practice', [PracticeController::class, 'show']);
        Route::get('/hand', [HandController::class, 'show']);
    });

    Route::get('/find', FindController::class);
    Route::get('/seen/{key}.svg', SeenController::class)->where('key', '[0-9a-f]{32}');
    Route::put('/pieces/{piece}/tags', [PieceController::class, 'tag']);
    Route::put('/lots/{lot}/tags', [StockController::class, 'tag']);

    Route::get('/patterns/{pattern}.svg', [PatternController::class, 'picture'])->where('pattern', '[a-z-]+');
    Route::post('/pieces', [PieceController::class, 'store']);
    Route::post('/pieces/import', [PieceController::class, 'import']);
    Route::post('/pieces/{deleted}/restore', [PieceController::class, 'restore']);
    Route::get('/pieces/export', [PieceController::class, 'exportAll']);
    Route::get('/pieces/{piece}', [PieceController::class, 'show']);
    Route::delete('/pieces/{piece}', [PieceController::class, 'destroy']);
    Route::get('/pieces/{piece}/export', [PieceController::class, 'export']);
    Route::post('/pieces/{piece}/keep', [PieceController::class, 'keep']);
    Route::post('/pieces/{piece}/copy', [PieceController::class, 'copy']);
    Route::get('/pieces/{piece}/tried', [StageController::class, 'tried']);
    Route::post('/pieces/{piece}/changes', [StageController::class, 'change']);
    Route::post('/pieces/{piece}/undo', [StageController::class, 'undo']);
    Route::post('/pieces/{piece}/redo', [StageController::class, 'redo']);
    Route::get('/pieces/{piece}/lay-ready', [StageController::class, 'layReady']);
    Route::get('/pieces/{piece}/leaflet', LeafletController::class);
    Route::get('/pieces/{piece}/kit', [LeafletController::class, 'kit']);
    Route::get('/pieces/{piece}/strips', [StageController::class, 'strips']);
    Route::post('/pieces/{piece}/makings', [MakingController::class, 'store']);
    Route::get('/pieces/{piece}/drawing.svg', [StageController::class, 'drawing']);
    Route::get('/pieces/{piece}/strips.svg', [StageController::class, 'stripsDrawn']);
    Route::get('/pieces/{piece}/forming/{step}.svg', [FormingController::class, 'piece'])->whereNumber('step');
    Route::get('/pieces/{piece}/bends.csv', [PieceFileController::class, 'bends']);
    Route::get('/pieces/{piece}/wires.dxf', [PieceFileController::class, 'wires']);
    Route::get('/pieces/{piece}/scene.glb', [PieceFileController::class, 'scene']);
    Route::get('/pieces/{piece}/cut-sheet.pdf', [StageController::class, 'cutSheet']);
    Route::get('/pieces/{piece}/bench-sheet.pdf', [StageController::class, 'benchSheet']);
    Route::get('/pieces/{piece}/bill', [BillController::class, 'show']);
    Route::get('/pieces/{piece}/quote', [BillController::class, 'quote']);
    Route::get('/pieces/{piece}/cost', [BillController::class, 'cost']);
    Route::put('/pieces/{piece}/bill', [BillController::class, 'update']);
    Route::post('/pieces/{piece}/bill/take', [BillController::class, 'take']);
    Route::post('/pieces/{piece}/bill/price', [BillController::class, 'price']);
    Route::get('/pieces/{piece}/beside', [VariantController::class, 'show']);
    Route::post('/pieces/{piece}/beside', [VariantController::class, 'store']);
    Route::post('/pieces/{piece}/beside/take', [VariantController::class, 'take']);
    Route::get('/pieces/{piece}/{stage}', [StageController::class, 'show']);

    Route::patch('/makings/{making}', [MakingController::class, 'update']);
    Route::post('/makings/{making}/events', [MakingController::class, 'events']);
    Route::post('/makings/{making}/broken', [MakingController::class, 'broken']);
    Route::put('/makings/{making}/inspection', [MakingController::class, 'inspect']);
    Route::get('/makings/{making}/steps/{step}.svg', [FormingController::class, 'making'])->whereNumber('step');
    Route::get('/makings/{making}/record', [RecordController::class, 'show']);
    Route::post('/makings/{making}/photos', [RecordController::class, 'addPhoto'])->withoutMiddleware(Writes::class);
    Route::get('/photos/{photo}.jpg', [RecordController::class, 'photo']);
    Route::delete('/photos/{photo}', [RecordController::class, 'dropPhoto']);
    Route::put('/makings/{making}', [MakingController::class, 'close']);
    Route::delete('/makings/{making}', [MakingController::class, 'destroy']);

    Route::get('/cutting', [CuttingController::class, 'show']);
    Route::get('/cutting/plan.csv', [CuttingController::class, 'csv']);
    Route::get('/cutting/list', [CutListController::class, 'show']);
    Route::post('/cutting/list', [CutListController::class, 'store'])->withoutMiddleware(Writes::class);
    Route::post('/cutting/ticks', [CuttingController::class, 'store']);
    Route::post('/cutting/reservations', [CuttingController::class, 'reserve'])->withoutMiddleware(Writes::class);
    Route::delete('/cutting/reservations', [CuttingController::class, 'release']);
    Route::delete('/cutting/ticks/{tick}', [CuttingController::class, 'destroy'])->where('tick', '[0-9]{1,18}');

    Route::put('/plan/week', [PlanController::class, 'week']);
    Route::put('/plan/day', [PlanController::class, 'day']);
    Route::put('/plan/wants/{want}', [PlanController::class, 'count']);
    Route::get('/plan/to-buy.csv', [PlanController::class, 'toBuyCsv']);
    Route::post('/occasions', [PlanController::class, 'store']);
    Route::put('/occasions/{occasion}', [PlanController::class, 'update']);
    Route::delete('/occasions/{occasion}', [PlanController::class, 'destroy']);
    Route::put('/occasions/{occasion}/wants', [PlanController::class, 'want']);

    Route::post('/repairs', [RepairController::class, 'store']);
    Route::get('/repairs/{repair}', [RepairController::class, 'show']);
    Route::put('/repairs/{repair}', [RepairController::class, 'done']);
    Route::delete('/repairs/{repair}', [RepairController::class, 'destroy']);
    Route::get('/repairs/{repair}/sheet', [RepairController::class, 'sheet']);

    Route::get('/box.csv', [BoxController::class, 'csv']);
    Route::get('/box/{finished}', [BoxController::class, 'show']);
    Route::put('/box/{finished}', [BoxController::class, 'move']);
    Route::put('/box/{finished}/for', [BoxController::class, 'keep']);
    Route::put('/box/{finished}/label', [BoxController::class, 'label']);
    Route::get('/box/{finished}/label.pdf', [BoxController::class, 'labelPdf']);
    Route::get('/box/{finished}/sheet', [BoxController::class, 'sheet']);

    Route::post('/stock', [StockController::class, 'store']);
    Route::post('/stock/line', [StockController::class, 'line']);
    Route::get('/lots/{lot}/ideas', [StockController::class, 'ideas']);
    Route::get('/beads/{bead}/ideas', [SupplyController::class, 'ideas']);
    Route::get('/lots/{lot}/scale', [ScaleController::class, 'show']);
    Route::get('/lots/{lot}/scale/live', [ScaleController::class, 'live']);
    Route::post('/lots/{lot}/scale/tare', [ScaleController::class, 'tare']);
    Route::put('/lots/{lot}/scale', [ScaleController::class, 'take']);
    Route::get('/stock/statement.csv', [YearController::class, 'statementCsv']);
    Route::get('/stock/statement.json', [YearController::class, 'statementJson']);
    Route::post('/stock/refiner', [YearController::class, 'refine']);
    Route::get('/stock/taking', [YearController::class, 'taking']);
    Route::post('/stock/taking', [YearController::class, 'take']);
    Route::get('/stock/import', [TableImportController::class, 'show']);
    Route::post('/stock/import', [TableImportController::class, 'store'])->withoutMiddleware(Writes::class);
    Route::get('/stock/lots.csv', [StockController::class, 'lotsCsv']);
    Route::get('/stock/beads.csv', [StockController::class, 'beadsCsv']);
    Route::get('/stock/book.csv', [StockController::class, 'bookCsv']);
    Route::get('/lots/{lot}/label.pdf', [StockController::class, 'label']);
    Route::put('/lots/{lot}', [StockController::class, 'correct']);
    Route::post('/stock/book/reverse', [StockController::class, 'reverse']);
    Route::post('/beads', [SupplyController::class, 'bead']);
    Route::put('/beads/{bead}', [SupplyController::class, 'owned']);
    Route::delete('/beads/{bead}', [SupplyController::class, 'forgetBead']);
    Route::get('/supplies/names', [SupplyController::class, 'names']);
    Route::post('/supplies', [SupplyController::class, 'store']);
    Route::put('/supplies/{supply}', [SupplyController::class, 'update']);
    Route::delete('/supplies/{supply}', [SupplyController::class, 'destroy']);

    Route::get('/hand/logs.csv', [LearnedController::class, 'csv']);
    Route::put('/hand/learned', [LearnedController::class, 'update']);
    Route::post('/practice', [PracticeController::class, 'store']);
    Route::delete('/practice/{drill}', [PracticeController::class, 'destroy']);
    Route::put('/hand/schools', [HandController::class, 'schools']);
    Route::put('/hand/metals/{metal}', [HandController::class, 'metal']);
    Route::post('/tools', [HandController::class, 'addTool']);
    Route::put('/tools/{tool}', [HandController::class, 'changeTool']);
    Route::delete('/tools/{tool}', [HandController::class, 'dropTool']);

    Route::get('/weave', [WeaveController::class, 'show']);
    Route::get('/weave/band.svg', [WeaveController::class, 'band']);
    Route::post('/weave', [WeaveController::class, 'store']);

    Route::get('/sums/{name}', [SumController::class, 'show']);
    Route::get('/sums/{name}/use', [SumController::class, 'targets']);
    Route::post('/sums/{name}/use', [SumController::class, 'use']);
    Route::post('/sums/{name}/asked', [SumController::class, 'asked']);
});

if (config('hebra.bench')) {
    Route::get('/bench-bare', fn () => response('bare'))->withoutMiddleware('web');
}
