<?php

declare(strict_types=1);

use App\Http\JobController;
use App\Places\Account\MeController;
use App\Places\Account\SignInController;
use App\Places\Class\ClassController;
use App\Places\Class\SoundnessController;
use App\Places\Finder\FindController;
use App\Places\Look\LookController;
use App\Places\Look\PhotoController;
use App\Places\Look\SampleController;
use App\Places\Materials\ClassPrintController;
use App\Places\Materials\MaterialController;
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
use App\Places\Student\PageController;
use App\Places\Student\StudentController;
use App\Places\Studio\KeptClassController;
use App\Places\Studio\KeptStudentController;
use App\Places\Studio\StudioController;
use App\Places\Today\TodayController;
use App\Places\Workshop\HuntController;
use App\Places\Workshop\ScanController;
use App\Places\Workshop\WorkshopController;
use Illuminate\Support\Facades\Route;
use OpenSeam\Core\Compute\Registry;

// One origin, session cookies and CSRF: the API is part of the web application.
Route::prefix('api')->group(function (): void {
    // Ways in, slowed down for whoever tries many.
    Route::middleware('throttle:door')->group(function (): void {
        Route::post('sign-in', [SignInController::class, 'signIn'])->withoutMiddleware('throttle:door');
        Route::post('forgot-password', [SignInController::class, 'forgot']);
        Route::post('new-password', [SignInController::class, 'newPassword']);
        Route::get('registration', [SignInController::class, 'registration'])->withoutMiddleware('throttle:door');
        Route::post('studios', [SignInController::class, 'openStudio']);
        Route::get('join/{token}', [SignInController::class, 'invitation']);
        Route::post('join/{token}', [SignInController::class, 'join']);
    });

    // The page behind a student's private link: no sign-in, guesses slowed down.
    Route::get('page/{token}', [StudentController::class, 'page'])->middleware('throttle:own-page');
    Route::get('page/{token}/sheet', [StudentController::class, 'sheet'])->middleware('throttle:own-page');

    Route::middleware(['auth', 'in-studio'])->group(function (): void {
        Route::post('sign-out', [SignInController::class, 'signOut']);
        Route::get('me', [MeController::class, 'show']);
        Route::patch('me', [MeController::class, 'update']);
        Route::put('me/password', [MeController::class, 'password'])->middleware('throttle:door');
        Route::get('me/devices', [MeController::class, 'devices']);
        Route::delete('me/devices', [MeController::class, 'signOutEverywhere']);

        // Whoever is in the room: looking at samples, and the tools of the workshop.
        Route::get('find', FindController::class);
        Route::get('lessons', [LessonController::class, 'index']);
        Route::get('lessons/{lesson}/dials', [LessonController::class, 'dials']);
        Route::get('lessons/{lesson}/print', [LessonPrintController::class, 'lesson']);
        Route::get('lessons/{lesson}/svg', [LessonPrintController::class, 'svg']);
        Route::get('print/paper-drive', [LessonPrintController::class, 'paperDrive']);
        Route::get('jobs/{job}', [JobController::class, 'progress']);
        Route::delete('jobs/{job}', [JobController::class, 'stop']);
        Route::get('machines', [MachineController::class, 'index']);
        Route::get('room', [RoomController::class, 'show']);
        foreach (array_keys(Registry::standard()->all()) as $name) {
            Route::post("compute/$name", [WorkshopController::class, 'compute'])->defaults('name', $name)->middleware(['throttle:calculate', 'two-at-once']);
        }
        Route::post('scans/read', [ScanController::class, 'read'])->middleware(['throttle:calculate', 'two-at-once']);
        Route::post('scans/readings', [ScanController::class, 'readings']);
        Route::get('scans/simulated', [ScanController::class, 'simulated'])->middleware(['throttle:calculate', 'two-at-once']);
        Route::get('settings', [WorkshopController::class, 'settings']);
        Route::get('faults', [HuntController::class, 'faults']);
        Route::get('hunts', [HuntController::class, 'index']);
        Route::post('hunts', [HuntController::class, 'open']);
        Route::get('hunts/{hunt}', [HuntController::class, 'show']);
        Route::post('hunts/{hunt}/trials', [HuntController::class, 'try']);
        Route::get('answers', [WorkshopController::class, 'index']);
        Route::get('classes/{class}/today', [TodayController::class, 'today']);
        Route::get('classes/{class}/pulse', [TodayController::class, 'pulse']);
        Route::get('classes/{class}/students/{student}/look', [LookController::class, 'look']);
        Route::get('classes/{class}/students/{student}/photos', [PhotoController::class, 'index']);
        Route::post('samples/preview', [SampleController::class, 'preview']);
        Route::post('samples', [SampleController::class, 'store']);
        Route::get('samples/{sample}', [SampleController::class, 'show']);
        Route::post('samples/{sample}/notes', [SampleController::class, 'annotate']);
        Route::post('samples/{sample}/withdraw', [SampleController::class, 'withdraw']);
        Route::delete('samples/{sample}/withdraw', [SampleController::class, 'bringBack']);
        Route::post('samples/{sample}/photos', [PhotoController::class, 'store']);
        Route::get('photos/{photo}', [PhotoController::class, 'show']);
        Route::delete('photos/{photo}', [PhotoController::class, 'drop']);

        // Whoever teaches: plans, students, notes, the room.
        Route::middleware('can:teach')->group(function (): void {
            Route::get('lessons/{lesson}/text', [DraftController::class, 'text']);
            Route::post('drafts/read', [DraftController::class, 'read']);
            Route::post('drafts/check', [DraftController::class, 'check']);
            Route::post('drafts/path', [DraftController::class, 'path']);
            Route::post('drafts/row', [DraftController::class, 'row']);
            Route::post('drafts', [DraftController::class, 'keep']);
            Route::get('shelf', [ShelfController::class, 'show']);
            Route::get('shelf/export', [ShelfController::class, 'export']);
            Route::post('shelf/compare', [ShelfController::class, 'compare']);
            Route::post('shelf/import', [ShelfController::class, 'import']);
            Route::post('shelf/back', [ShelfController::class, 'back']);
            Route::get('classes/{class}/print', [ClassPrintController::class, 'class'])->middleware(['throttle:calculate', 'two-at-once']);
            Route::get('classes/{class}/materials', [MaterialController::class, 'show']);
            Route::put('classes/{class}/materials', [MaterialController::class, 'note']);
            Route::put('shop', [MaterialController::class, 'shop']);
            Route::post('machines', [MachineController::class, 'store']);
            Route::put('machines/{machine}', [MachineController::class, 'update']);
            Route::delete('machines/{machine}', [MachineController::class, 'retire']);
            Route::post('machines/{machine}/service', [MachineController::class, 'service']);
            Route::post('feet', [RoomController::class, 'store']);
            Route::put('feet/{foot}', [RoomController::class, 'update']);
            Route::delete('feet/{foot}', [RoomController::class, 'retire']);
            Route::get('soundness', [SoundnessController::class, 'show']);
            Route::post('soundness', [SoundnessController::class, 'fit'])->middleware(['throttle:calculate', 'two-at-once']);
            Route::delete('soundness', [SoundnessController::class, 'forget']);
            Route::post('answers', [WorkshopController::class, 'keep']);
            Route::delete('answers/{answer}', [WorkshopController::class, 'drop']);
            Route::post('classes', [NewClassController::class, 'store']);
            Route::get('classes/{class}', [ClassController::class, 'show']);
            Route::post('classes/{class}/students', [ClassController::class, 'addStudents']);
            Route::put('classes/{class}/schools', [LessonController::class, 'choose']);
            Route::get('classes/{class}/plan', [PlanController::class, 'show']);
            Route::put('classes/{class}/plan', [PlanController::class, 'store']);
            Route::get('classes/{class}/forecast', [PlanFiguresController::class, 'forecast']);
            Route::post('classes/{class}/plan/mend', [PlanController::class, 'mend'])->middleware(['throttle:calculate', 'two-at-once']);
            Route::get('classes/{class}/plan/export', [PlanController::class, 'export']);
            Route::post('classes/{class}/plan/lay-out', [PlanController::class, 'layOut'])->middleware(['throttle:calculate', 'two-at-once']);
            Route::post('classes/{class}/plan/try', [PlanController::class, 'tryOut'])->middleware(['throttle:calculate', 'two-at-once']);
            Route::get('classes/{class}/plan/needs', [PlanFiguresController::class, 'needs']);
            Route::get('classes/{class}/plan/costs', [PlanFiguresController::class, 'costs'])->middleware(['throttle:calculate', 'two-at-once']);
            Route::get('classes/{class}/bench', [BenchController::class, 'show'])->middleware(['throttle:calculate', 'two-at-once']);
            Route::put('classes/{class}/bench', [BenchController::class, 'keep']);
            Route::put('classes/{class}/bench/state', [BenchController::class, 'state']);
            Route::post('classes/{class}/bench/start', [BenchController::class, 'start']);
            Route::post('plan/estimate', [NewClassController::class, 'estimate'])->middleware(['throttle:calculate', 'two-at-once']);
            Route::get('classes/{class}/students/{student}', [StudentController::class, 'show']);
            Route::put('classes/{class}/students/{student}', [StudentController::class, 'update']);
            Route::get('classes/{class}/students/{student}/print', [StudentController::class, 'print']);
            Route::post('classes/{class}/students/{student}/page', [StudentController::class, 'openPage']);
            Route::delete('classes/{class}/students/{student}/page', [StudentController::class, 'closePage']);
            Route::get('classes/{class}/students/{student}/next', [ClassController::class, 'next']);
            Route::post('classes/{class}/students/{student}/next', [ClassController::class, 'chooseNext']);
            Route::get('classes/{class}/students/{student}/skills/{skill}', [ClassController::class, 'evidence']);
            Route::get('studio', [StudioController::class, 'show']);
            Route::get('studio/privacy', [StudioController::class, 'privacy']);
            Route::get('students', [KeptStudentController::class, 'known']);
            Route::patch('classes/{class}', [KeptClassController::class, 'updateClass']);
            Route::post('classes/{class}/archive', [KeptClassController::class, 'archive']);
            Route::delete('classes/{class}/archive', [KeptClassController::class, 'unarchive']);
            Route::get('classes/{class}/goes', [KeptClassController::class, 'classGoes']);
            Route::delete('classes/{class}', [KeptClassController::class, 'deleteClass']);
            Route::post('classes/{class}/restore', [KeptClassController::class, 'restoreClass']);
            Route::put('classes/{class}/students/{student}/name', [KeptStudentController::class, 'rename']);
            Route::post('classes/{class}/students/{student}/move', [KeptStudentController::class, 'move']);
            Route::delete('classes/{class}/students/{student}/seat', [KeptStudentController::class, 'takeOut']);
            Route::get('classes/{class}/students/{student}/goes', [KeptStudentController::class, 'studentGoes']);
            Route::get('classes/{class}/students/{student}/data', [KeptStudentController::class, 'data']);
            Route::delete('classes/{class}/students/{student}', [KeptStudentController::class, 'deleteStudent']);
            Route::post('students/{student}/restore', [KeptStudentController::class, 'restoreStudent']);
        });

        // Whoever owns the studio: its people and its data.
        Route::middleware('can:own')->group(function (): void {
            Route::patch('studio', [StudioController::class, 'update']);
            Route::post('studio/invitations', [StudioController::class, 'invite']);
            Route::delete('studio/invitations/{invitation}', [StudioController::class, 'takeBack']);
            Route::put('studio/people/{person}', [StudioController::class, 'role']);
            Route::delete('studio/people/{person}', [StudioController::class, 'remove']);
            Route::post('studio/close', [StudioController::class, 'close']);
            Route::post('studio/reopen', [StudioController::class, 'reopen']);
        });
    });
    Route::any('{anything}', fn () => abort(404))->where('anything', '.*');
});

// Every place has its own address; the front end decides what it shows.
Route::get('{place?}', PageController::class)->where('place', '^(?!api/).*');
