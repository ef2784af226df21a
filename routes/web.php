<?php

declare(strict_types=1);

use App\Http\JobController;
use App\Http\MetricsController;
use App\Http\UpController;
use App\Places\Account\MeController;
use App\Places\Account\SignInController;
use App\Places\Class\ClassController;
use App\Places\Class\SoundnessController;
use App\Places\Class\TableController;
use App\Places\Finder\FindController;
use App\Places\Front\FrontController;
use App\Places\Look\CameraController;
use App\Places\Look\ImportController;
use App\Places\Look\LensController;
use App\Places\Look\LookController;
use App\Places\Look\PhotoController;
use App\Places\Look\SampleController;
use App\Places\Look\SamplerScanController;
use App\Places\Materials\ClassPrintController;
use App\Places\Materials\MaterialController;
use App\Places\Plan\CalendarController;
use App\Places\Plan\NewClassController;
use App\Places\Plan\PlanController;
use App\Places\Plan\PlanFiguresController;
use App\Places\Room\MachineController;
use App\Places\Room\RoomController;
use App\Places\Samplers\DraftController;
use App\Places\Samplers\LessonController;
use App\Places\Samplers\LessonPrintController;
use App\Places\Samplers\ShelfController;
use App\Places\Session\BenchController;
use App\Places\Student\HomeController;
use App\Places\Student\PageController;
use App\Places\Student\StudentController;
use App\Places\Studio\KeptClassController;
use App\Places\Studio\KeptStudentController;
use App\Places\Studio\StudioController;
use App\Places\Today\TodayController;
use App\Places\Workshop\ButtonholeController;
use App\Places\Workshop\EyesController;
use App\Places\Workshop\HuntController;
use App\Places\Workshop\ScanController;
use App\Places\Workshop\WorkshopController;
use Illuminate\Cookie\Middleware\AddQueuedCookiesToResponse;
use Illuminate\Cookie\Middleware\EncryptCookies;
use Illuminate\Foundation\Http\Middleware\ValidateCsrfToken;
use Illuminate\Session\Middleware\StartSession;
use Illuminate\Support\Facades\Route;
use Illuminate\View\Middleware\ShareErrorsFromSession;
use OpenSeam\Core\Compute\Registry;

// Asked each second by machines: nobody's, without a session.
Route::withoutMiddleware('web')->group(function (): void {
    Route::get('up', [UpController::class, 'ready'])->name('up.ready');
    Route::get('up/alive', [UpController::class, 'alive'])->name('up.alive');
    Route::get('metrics', MetricsController::class)->name('metrics');
});

// One origin, session cookies and CSRF: the API is part of the web application.
Route::prefix('api')->scopeBindings()->group(function (): void {
    // Ways in, slowed down for whoever tries many.
    Route::middleware('throttle:door')->group(function (): void {
        Route::post('sign-in', [SignInController::class, 'signIn'])->name('sign-in.sign-in')->withoutMiddleware('throttle:door');
        Route::post('forgot-password', [SignInController::class, 'forgot'])->name('sign-in.forgot');
        Route::post('new-password', [SignInController::class, 'newPassword'])->name('sign-in.new-password');
        Route::get('registration', [SignInController::class, 'registration'])->name('sign-in.registration')->withoutMiddleware('throttle:door');
        Route::post('studios', [SignInController::class, 'openStudio'])->name('sign-in.open-studio');
        Route::get('join/{token}', [SignInController::class, 'invitation'])->name('sign-in.invitation');
        Route::post('join/{token}', [SignInController::class, 'join'])->name('sign-in.join');
    });

    // The page behind a student's private link: no sign-in, guesses slowed down.
    Route::get('runs/{machine}/{ends}/{signature}', [ButtonholeController::class, 'run'])->name('buttonhole.run')->middleware('throttle:own-page');
    Route::get('calendar/{token}', [CalendarController::class, 'show'])->name('calendar.show')->middleware('throttle:own-page');
    Route::get('page/{token}', [StudentController::class, 'page'])->name('student.page')->middleware('throttle:own-page');
    Route::post('page/{token}/looks', [StudentController::class, 'look'])->name('student.look')->middleware('throttle:own-page');
    Route::post('page/{token}/ask', [StudentController::class, 'ask'])->name('student.ask')->middleware('throttle:own-page');
    Route::delete('page/{token}/ask', [StudentController::class, 'askNoMore'])->name('student.ask-no-more')->middleware('throttle:own-page');
    Route::get('page/{token}/home', [HomeController::class, 'showOwn'])->name('home.show-own')->middleware('throttle:own-page');
    Route::put('page/{token}/home', [HomeController::class, 'sayOwn'])->name('home.say-own')->middleware('throttle:own-page');
    Route::delete('page/{token}/home', [HomeController::class, 'forgetOwn'])->name('home.forget-own')->middleware('throttle:own-page');
    Route::get('page/{token}/pictures', [StudentController::class, 'pictures'])->name('student.pictures')->middleware('throttle:own-page');
    Route::post('page/{token}/scan', [StudentController::class, 'scan'])->name('student.scan')->middleware(['throttle:own-picture', 'two-at-once']);
    Route::get('page/{token}/card', [StudentController::class, 'card'])->name('student.card')->middleware('throttle:own-page');
    Route::get('lens/{token}', [LensController::class, 'there'])->name('lens.there')->middleware('throttle:own-page');
    Route::post('lens/{token}', [LensController::class, 'send'])->name('lens.send')->middleware('throttle:own-page');
    Route::get('page/{token}/sheet', [StudentController::class, 'sheet'])->name('student.sheet')->middleware('throttle:own-page');

    Route::middleware(['auth', 'in-studio'])->group(function (): void {
        Route::post('sign-out', [SignInController::class, 'signOut'])->name('sign-in.sign-out');
        Route::get('me', [MeController::class, 'show'])->name('me.show');
        Route::patch('me', [MeController::class, 'update'])->name('me.update');
        Route::put('me/password', [MeController::class, 'password'])->name('me.password')->middleware('throttle:door');
        Route::get('me/devices', [MeController::class, 'devices'])->name('me.devices');
        Route::delete('me/devices', [MeController::class, 'signOutEverywhere'])->name('me.sign-out-everywhere');

        // Whoever is in the room: looking at samples, and the tools of the workshop.
        Route::get('find', FindController::class)->name('find');
        Route::get('lessons', [LessonController::class, 'index'])->name('lesson.index');
        Route::get('lessons/{lesson}/dials', [LessonController::class, 'dials'])->name('lesson.dials');
        Route::get('lessons/{lesson}/looks', [LessonController::class, 'looks'])->name('lesson.looks');
        Route::get('lessons/{lesson}/pictures', [LessonController::class, 'pictures'])->name('lesson.pictures');
        Route::get('lessons/{lesson}/print', [LessonPrintController::class, 'lesson'])->name('lesson-print.lesson');
        Route::get('lessons/{lesson}/svg', [LessonPrintController::class, 'svg'])->name('lesson-print.svg');
        Route::get('print/photo-card', [LessonPrintController::class, 'photoCard'])->name('lesson-print.photo-card');
        Route::get('print/chart', [LessonPrintController::class, 'chart'])->name('lesson-print.chart');
        Route::get('print/paper-drive', [LessonPrintController::class, 'paperDrive'])->name('lesson-print.paper-drive');
        Route::get('jobs/{job}', [JobController::class, 'progress'])->name('job.progress');
        Route::delete('jobs/{job}', [JobController::class, 'stop'])->name('job.stop');
        Route::get('machines', [MachineController::class, 'index'])->name('machine.index');
        Route::get('room', [RoomController::class, 'show'])->name('room.show');
        foreach (array_keys(Registry::standard()->all()) as $name) {
            Route::post("compute/$name", [WorkshopController::class, 'compute'])->name("compute.$name")->defaults('name', $name)->middleware(['throttle:calculate', 'two-at-once']);
        }
        Route::post('scans/read', [ScanController::class, 'read'])->name('scan.read')->middleware(['throttle:calculate', 'two-at-once']);
        Route::post('scans/sampler', [SamplerScanController::class, 'read'])->name('sampler-scan.read')->middleware(['throttle:calculate', 'two-at-once']);
        Route::get('photo-card', [CameraController::class, 'card'])->name('camera.card');
        Route::put('photo-card', [CameraController::class, 'check'])->name('camera.check');
        Route::get('camera', [CameraController::class, 'show'])->name('camera.show');
        Route::delete('camera', [CameraController::class, 'anew'])->name('camera.anew');
        Route::post('camera/samples', [CameraController::class, 'compare'])->name('camera.compare');
        Route::delete('camera/samples/{comparison}', [CameraController::class, 'drop'])->name('camera.drop');
        Route::post('lenses', [LensController::class, 'open'])->name('lens.open');
        Route::get('lenses/{lens}', [LensController::class, 'waiting'])->name('lens.waiting');
        Route::delete('lenses/{lens}', [LensController::class, 'close'])->name('lens.close');
        Route::get('lenses/{lens}/pictures/{number}', [LensController::class, 'take'])->name('lens.take')->whereNumber('number');
        Route::post('scans/readings', [ScanController::class, 'readings'])->name('scan.readings');
        Route::get('scans/simulated', [ScanController::class, 'simulated'])->name('scan.simulated')->middleware(['throttle:calculate', 'two-at-once']);
        Route::get('settings', [WorkshopController::class, 'settings'])->name('workshop.settings');
        Route::get('faults', [HuntController::class, 'faults'])->name('hunt.faults');
        Route::get('feet/seen', [EyesController::class, 'parts'])->name('eyes.parts');
        Route::post('feet/name', [EyesController::class, 'name'])->name('eyes.name');
        Route::post('blind-hem', [EyesController::class, 'blindHem'])->name('eyes.blind-hem');
        Route::get('hunts', [HuntController::class, 'index'])->name('hunt.index');
        Route::post('hunts', [HuntController::class, 'open'])->name('hunt.open');
        Route::get('hunts/{hunt}', [HuntController::class, 'show'])->name('hunt.show');
        Route::post('hunts/{hunt}/trials', [HuntController::class, 'try'])->name('hunt.try');
        Route::get('buttonholes', [ButtonholeController::class, 'index'])->name('buttonhole.index');
        Route::get('buttonholes/{buttonhole}', [ButtonholeController::class, 'show'])->name('buttonhole.show');
        Route::put('buttonholes/{buttonhole}', [ButtonholeController::class, 'keep'])->name('buttonhole.keep');
        Route::delete('buttonholes/{buttonhole}', [ButtonholeController::class, 'drop'])->name('buttonhole.drop');
        Route::post('buttonholes/{buttonhole}/tests', [ButtonholeController::class, 'look'])->name('buttonhole.look');
        Route::post('buttonholes/{buttonhole}/release', [ButtonholeController::class, 'release'])->name('buttonhole.release');
        Route::get('buttonholes/{buttonhole}/print', [ButtonholeController::class, 'print'])->name('buttonhole.print');
        Route::get('buttonholes/{buttonhole}/svg', [ButtonholeController::class, 'svg'])->name('buttonhole.svg');
        Route::get('answers', [WorkshopController::class, 'index'])->name('workshop.index');
        Route::get('classes/{class}/front', [FrontController::class, 'show'])->name('front.show');
        Route::put('classes/{class}/front', [FrontController::class, 'turn'])->name('front.turn');
        Route::get('classes/{class}/today', [TodayController::class, 'today'])->name('today.today');
        Route::get('classes/{class}/pulse', [TodayController::class, 'pulse'])->name('today.pulse');
        Route::delete('classes/{class}/students/{student}/ask', [StudentController::class, 'answered'])->name('student.answered');
        Route::get('classes/{class}/students/{student}/look', [LookController::class, 'look'])->name('look.look');
        Route::get('classes/{class}/students/{student}/photos', [PhotoController::class, 'index'])->name('photo.index');
        Route::get('classes/{class}/students/{student}/samples', [SampleController::class, 'newest'])->name('sample.newest');
        Route::post('samples/preview', [SampleController::class, 'preview'])->name('sample.preview');
        Route::post('samples', [SampleController::class, 'store'])->name('sample.store');
        Route::get('samples/{sample}', [SampleController::class, 'show'])->name('sample.show');
        Route::post('samples/{sample}/notes', [SampleController::class, 'annotate'])->name('sample.annotate');
        Route::post('samples/{sample}/withdraw', [SampleController::class, 'withdraw'])->name('sample.withdraw');
        Route::delete('samples/{sample}/withdraw', [SampleController::class, 'bringBack'])->name('sample.bring-back');
        Route::post('samples/{sample}/photos', [PhotoController::class, 'store'])->name('photo.store');
        Route::get('photos/{photo}', [PhotoController::class, 'show'])->name('photo.show');
        Route::delete('photos/{photo}', [PhotoController::class, 'drop'])->name('photo.drop');

        // Whoever teaches: plans, students, notes, the room.
        Route::middleware('can:teach')->group(function (): void {
            Route::get('lessons/{lesson}/text', [DraftController::class, 'text'])->name('draft.text');
            Route::post('drafts/read', [DraftController::class, 'read'])->name('draft.read');
            Route::post('drafts/check', [DraftController::class, 'check'])->name('draft.check');
            Route::post('drafts/path', [DraftController::class, 'path'])->name('draft.path');
            Route::post('drafts/templates', [DraftController::class, 'templates'])->name('draft.templates');
            Route::post('drafts/row', [DraftController::class, 'row'])->name('draft.row');
            Route::post('drafts', [DraftController::class, 'keep'])->name('draft.keep');
            Route::get('shelf', [ShelfController::class, 'show'])->name('shelf.show');
            Route::get('shelf/export', [ShelfController::class, 'export'])->name('shelf.export');
            Route::post('shelf/compare', [ShelfController::class, 'compare'])->name('shelf.compare');
            Route::post('shelf/import', [ShelfController::class, 'import'])->name('shelf.import');
            Route::post('shelf/back', [ShelfController::class, 'back'])->name('shelf.back');
            Route::get('classes/{class}/print', [ClassPrintController::class, 'class'])->name('class-print.class')->middleware(['throttle:calculate', 'two-at-once']);
            Route::get('classes/{class}/table', [TableController::class, 'table'])->name('table.table')->middleware(['throttle:calculate', 'two-at-once']);
            Route::post('classes/{class}/samples', [ImportController::class, 'import'])->name('import.import')->middleware(['throttle:calculate', 'two-at-once']);
            Route::get('room/table', [RoomController::class, 'table'])->name('room.table');
            Route::post('classes/{class}/calendar', [CalendarController::class, 'open'])->name('calendar.open');
            Route::delete('classes/{class}/calendar', [CalendarController::class, 'close'])->name('calendar.close');
            Route::get('classes/{class}/materials', [MaterialController::class, 'show'])->name('material.show');
            Route::put('classes/{class}/materials', [MaterialController::class, 'note'])->name('material.note');
            Route::put('shop', [MaterialController::class, 'shop'])->name('material.shop');
            Route::post('machines', [MachineController::class, 'store'])->name('machine.store');
            Route::put('machines/{machine}', [MachineController::class, 'update'])->name('machine.update');
            Route::delete('machines/{machine}', [MachineController::class, 'retire'])->name('machine.retire');
            Route::post('machines/{machine}/service', [MachineController::class, 'service'])->name('machine.service');
            Route::post('feet', [RoomController::class, 'store'])->name('room.store');
            Route::put('feet/{foot}', [RoomController::class, 'update'])->name('room.update');
            Route::delete('feet/{foot}', [RoomController::class, 'retire'])->name('room.retire');
            Route::get('soundness', [SoundnessController::class, 'show'])->name('soundness.show');
            Route::post('soundness', [SoundnessController::class, 'fit'])->name('soundness.fit')->middleware(['throttle:calculate', 'two-at-once']);
            Route::delete('soundness', [SoundnessController::class, 'forget'])->name('soundness.forget');
            Route::post('answers', [WorkshopController::class, 'keep'])->name('workshop.keep');
            Route::delete('answers/{answer}', [WorkshopController::class, 'drop'])->name('workshop.drop');
            Route::post('classes', [NewClassController::class, 'store'])->name('new-class.store');
            Route::get('classes/{class}', [ClassController::class, 'show'])->name('class.show');
            Route::post('classes/{class}/students', [ClassController::class, 'addStudents'])->name('class.add-students');
            Route::post('classes/{class}/students/read', [ClassController::class, 'readNames'])->name('class.read-names');
            Route::put('classes/{class}/schools', [LessonController::class, 'choose'])->name('lesson.choose');
            Route::get('classes/{class}/plan', [PlanController::class, 'show'])->name('plan.show');
            Route::put('classes/{class}/plan', [PlanController::class, 'store'])->name('plan.store');
            Route::get('classes/{class}/forecast', [PlanFiguresController::class, 'forecast'])->name('plan-figures.forecast');
            Route::post('classes/{class}/plan/mend', [PlanController::class, 'mend'])->name('plan.mend')->middleware(['throttle:calculate', 'two-at-once']);
            Route::get('classes/{class}/plan/export', [PlanController::class, 'export'])->name('plan.export');
            Route::post('classes/{class}/plan/lay-out', [PlanController::class, 'layOut'])->name('plan.lay-out')->middleware(['throttle:calculate', 'two-at-once']);
            Route::post('classes/{class}/plan/try', [PlanController::class, 'tryOut'])->name('plan.try-out')->middleware(['throttle:calculate', 'two-at-once']);
            Route::get('classes/{class}/plan/needs', [PlanFiguresController::class, 'needs'])->name('plan-figures.needs');
            Route::get('classes/{class}/plan/costs', [PlanFiguresController::class, 'costs'])->name('plan-figures.costs')->middleware(['throttle:calculate', 'two-at-once']);
            Route::get('classes/{class}/bench', [BenchController::class, 'show'])->name('bench.show')->middleware(['throttle:calculate', 'two-at-once']);
            Route::put('classes/{class}/bench', [BenchController::class, 'keep'])->name('bench.keep');
            Route::put('classes/{class}/bench/state', [BenchController::class, 'state'])->name('bench.state');
            Route::post('classes/{class}/bench/start', [BenchController::class, 'start'])->name('bench.start');
            Route::post('plan/estimate', [NewClassController::class, 'estimate'])->name('new-class.estimate')->middleware(['throttle:calculate', 'two-at-once']);
            Route::get('classes/{class}/sessions/{session}/samples', [TodayController::class, 'samples'])->name('today.samples');
            Route::put('classes/{class}/sessions/{session}/end', [TodayController::class, 'end'])->name('today.end');
            Route::delete('classes/{class}/sessions/{session}/end', [TodayController::class, 'goOn'])->name('today.go-on');
            Route::delete('classes/{class}/sessions/{session}/begin', [TodayController::class, 'notBegun'])->name('today.not-begun');
            Route::get('classes/{class}/students/{student}', [StudentController::class, 'show'])->name('student.show');
            Route::put('classes/{class}/students/{student}', [StudentController::class, 'update'])->name('student.update');
            Route::get('classes/{class}/students/{student}/print', [StudentController::class, 'print'])->name('student.print');
            Route::get('classes/{class}/students/{student}/home', [HomeController::class, 'show'])->name('home.show');
            Route::put('classes/{class}/students/{student}/home', [HomeController::class, 'say'])->name('home.say');
            Route::delete('classes/{class}/students/{student}/home', [HomeController::class, 'forget'])->name('home.forget');
            Route::post('classes/{class}/students/{student}/page', [StudentController::class, 'openPage'])->name('student.open-page');
            Route::delete('classes/{class}/students/{student}/page', [StudentController::class, 'closePage'])->name('student.close-page');
            Route::get('classes/{class}/students/{student}/next', [ClassController::class, 'next'])->name('class.next');
            Route::post('classes/{class}/students/{student}/next', [ClassController::class, 'chooseNext'])->name('class.choose-next');
            Route::get('classes/{class}/students/{student}/skills/{skill}', [ClassController::class, 'evidence'])->name('class.evidence');
            Route::get('studio', [StudioController::class, 'show'])->name('studio.show');
            Route::get('studio/privacy', [StudioController::class, 'privacy'])->name('studio.privacy');
            Route::post('students/read', [ClassController::class, 'readNewNames'])->name('class.read-new-names');
            Route::get('students', [KeptStudentController::class, 'known'])->name('kept-student.known');
            Route::patch('classes/{class}', [KeptClassController::class, 'updateClass'])->name('kept-class.update-class');
            Route::post('classes/{class}/archive', [KeptClassController::class, 'archive'])->name('kept-class.archive');
            Route::delete('classes/{class}/archive', [KeptClassController::class, 'unarchive'])->name('kept-class.unarchive');
            Route::get('classes/{class}/goes', [KeptClassController::class, 'classGoes'])->name('kept-class.class-goes');
            Route::delete('classes/{class}', [KeptClassController::class, 'deleteClass'])->name('kept-class.delete-class');
            Route::post('classes/{class}/restore', [KeptClassController::class, 'restoreClass'])->name('kept-class.restore-class');
            Route::put('classes/{class}/students/{student}/name', [KeptStudentController::class, 'rename'])->name('kept-student.rename');
            Route::post('classes/{class}/students/{student}/move', [KeptStudentController::class, 'move'])->name('kept-student.move');
            Route::delete('classes/{class}/students/{student}/seat', [KeptStudentController::class, 'takeOut'])->name('kept-student.take-out');
            Route::get('classes/{class}/students/{student}/goes', [KeptStudentController::class, 'studentGoes'])->name('kept-student.student-goes');
            Route::get('classes/{class}/students/{student}/data', [KeptStudentController::class, 'data'])->name('kept-student.data');
            Route::delete('classes/{class}/students/{student}', [KeptStudentController::class, 'deleteStudent'])->name('kept-student.delete-student');
            Route::post('students/{student}/restore', [KeptStudentController::class, 'restoreStudent'])->name('kept-student.restore-student');
        });

        // Whoever owns the studio: its people and its data.
        Route::middleware('can:own')->group(function (): void {
            Route::patch('studio', [StudioController::class, 'update'])->name('studio.update');
            Route::post('studio/invitations', [StudioController::class, 'invite'])->name('studio.invite');
            Route::delete('studio/invitations/{invitation}', [StudioController::class, 'takeBack'])->name('studio.take-back');
            Route::put('studio/people/{person}', [StudioController::class, 'role'])->name('studio.role');
            Route::delete('studio/people/{person}', [StudioController::class, 'remove'])->name('studio.remove');
            Route::post('studio/close', [StudioController::class, 'close'])->name('studio.close');
            Route::post('studio/reopen', [StudioController::class, 'reopen'])->name('studio.reopen');
        });
    });
    Route::any('{anything}', fn () => abort(404))->where('anything', '.*');
});

// The same page for the worker that opens it without a line. It is nobody's: fetched beside a sign-in, it must bring no session of its own.
Route::get('shell', PageController::class)->name('shell')->withoutMiddleware([EncryptCookies::class, AddQueuedCookiesToResponse::class, StartSession::class, ShareErrorsFromSession::class, ValidateCsrfToken::class]);

// Every place has its own address; the front end decides what it shows.
Route::get('{place?}', PageController::class)->name('page')->where('place', '^(?!api/).*');
