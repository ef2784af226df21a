<?php

declare(strict_types=1);

// Takes the pictures in docs/screenshots from a running demo studio:
//   SEAM_NOW=2026-05-14T19:15:00Z ./seam start && php ops/pictures.php
// With names after it, only those pictures; with --to=FOLDER, somewhere else.

use Facebook\WebDriver\Remote\LocalFileDetector;
use Facebook\WebDriver\WebDriverBy;
use Facebook\WebDriver\WebDriverKeys;
use OpenSeam\Core\Tests\Support\DrawnPiece;
use OpenSeam\Core\Tests\Support\PhotographedCard;
use Tests\Browser\Support\Browser;

require __DIR__.'/../vendor/autoload.php';

$base = 'http://127.0.0.1:'.(getenv('SEAM_PORT') ?: '8377');
$to = dirname(__DIR__).'/docs/screenshots';
$only = [];
foreach (array_slice($argv, 1) as $argument) {
    str_starts_with($argument, '--to=') ? $to = substr($argument, 5) : $only[] = $argument;
}
$browser = Browser::open($base);
$take = function (string $name, callable $prepare) use ($browser, $to, $only): void {
    if ($only === [] || in_array($name, $only, true)) {
        $prepare();
        $browser->picture("$to/$name.png");
        foreach ($browser->complaints() as $complaint) {
            fwrite(STDERR, "$name: $complaint\n");
        }
    }
};
$seam = ['16', '15.5', '15', '14.5', '13', '4', '3', '0'];

$browser->signIn('teacher@mill.example', 'unbleached calico')->see('sewing now');
$today = (string) parse_url($browser->driver->getCurrentURL(), PHP_URL_PATH);
$class = basename($today);
$look = function (string $name) use ($browser, $today): void {
    $browser->go($today)->see($name);
    $browser->press("Look at the sample of $name");
    $browser->find('[data-reading]');
    $browser->rest();
};
$take('today', fn () => $browser->go($today)->see('Isaura'));
$take('front', function () use ($browser, $class): void {
    $browser->go("/front/$class?lesson=blind-hem")->see('just bites');
    foreach (range(1, 2) as $n) {
        $browser->keys(WebDriverKeys::PAGE_DOWN)->see("$n / 5");
    }
    $browser->rest();
});
$take('look-first-seam', function () use ($browser, $look, $seam): void {
    $look('Keziah');
    foreach ($seam as $reading) {
        $browser->keys($reading, WebDriverKeys::ENTER);
    }
    $browser->keys('n')->see('seam opens');
    $browser->driver->executeScript("document.querySelectorAll('input.common-num')[4].focus()");
});
// Taller, so that the whole course is on it.
$browser->size(1280, 1130);
$take('plan', function () use ($browser): void {
    $long = (string) $browser->driver->executeAsyncScript('fetch("/api/me").then((r) => r.json()).then((m) => arguments[0](m.classes[1].id))');
    $browser->go("/plan/$long")->see('m Cotton')->click('[data-lesson=zip] .plan-lesson-name');
    $browser->driver->executeScript('document.querySelector("main").scrollTop = 0');
    $browser->rest();
});
$browser->size(1280, 800);
$take('class', fn () => $browser->go("/class/$class")->see('Keep the allowance'));
$take('session', function () use ($browser, $class): void {
    $browser->go("/session/$class")->see('Next session');
    $browser->driver->executeScript('[...document.querySelectorAll(".session-seat-card")].find((b) => b.innerText.includes("Wilmot")).click()');
    $browser->rest();
});
$tobiah = fn (): string => (string) $browser->driver->executeAsyncScript('fetch(`/api/classes/${arguments[0]}/today`).then((r) => r.json()).then((m) => arguments[1](m.students[1].student))', [$class]);
$take('student', function () use ($browser, $class, $tobiah): void {
    $browser->go("/class/$class/student/{$tobiah()}")->see('Skills');
    $browser->rest();
});
$take('studio', fn () => $browser->go('/studio')->see('How long things are kept'));
$take('samplers', fn () => $browser->go('/samplers')->see('Square spiral'));
$take('lesson', fn () => $browser->go('/samplers/zip')->see('Schools differ')->see('Look for'));
$take('drafting', function () use ($browser): void {
    $browser->go('/samplers/zigzag-ladder/draft')->see('machines sew it')->press('Closer, 3.5 × 1')->see('104 stitches');
    $browser->driver->executeScript('document.querySelector("main").scrollTop = 0');
    $browser->rest();
});
// Taller, so that the cutting plan is on it.
$browser->size(1280, 1240);
$take('materials', fn () => $browser->go("/materials/$class")->see('in the cupboard'));
$browser->size(1280, 800);
$take('room', fn () => $browser->go('/room')->see('Window 1'));
$take('fault-finder', function () use ($browser): void {
    $browser->go('/workshop/faults?seen=loops-under,skipped')->see('Tick what is seen')->press('Find the cause')->see('try now');
    $browser->press('Still the same')->see('Tried');
});
$take('buttonhole', function () use ($browser): void {
    $browser->go('/workshop/buttonhole')->see('finished: 21 mm')->see('saved')->press('How long')->see('Which machine of the room')->rest();
});
$take('buttonhole-run', function () use ($browser): void {
    $browser->go('/workshop/buttonhole')->see('saved')->press('Sew it, act by act')->see('act 1 of');
    while (! str_contains($browser->text(), 'Step 1')) {
        $browser->keys(WebDriverKeys::PAGE_DOWN);
    }
    // Until the needle has come to the mark.
    $browser->see('Once more')->rest();
});
$take('photograph', function () use ($browser, $look): void {
    // A drawn photograph: the simulated camera of the tests.
    $piece = DrawnPiece::withRow('straight', 'right', 15.6, 2.4, 0.0, 1.2, 0.2);
    [$piece->widthMm, $piece->heightMm, $piece->cloth] = [100.0, 150.0, [214, 206, 188]];
    $photo = new PhotographedCard($piece);
    [$photo->width, $photo->height, $photo->fine, $photo->tilt, $photo->turn, $photo->fills, $photo->dark, $photo->lamp] = [1500, 2000, 9.0, 12.0, -5.0, 0.85, 0.8, [1.0, 0.95, 0.86]];
    $file = (string) tempnam(sys_get_temp_dir(), 'seam-photo').'.jpg';
    file_put_contents($file, $photo->take(3));
    $look('Keziah');
    $browser->press('Photograph it')->see('Lay the whole piece');
    $browser->driver->findElement(WebDriverBy::cssSelector('.mantine-Modal-body input[type=file]'))->setFileDetector(new LocalFileDetector)->sendKeys($file);
    $browser->see('Type them in')->rest();
    unlink($file);
});
$take('new-class', fn () => $browser->go('/start')->see('Lay it out for me'));
$browser->size(390, 844, true);
$take('student-page', function () use ($browser, $class, $tobiah): void {
    $link = (string) $browser->driver->executeAsyncScript('const xsrf = decodeURIComponent(/XSRF-TOKEN=([^;]+)/.exec(document.cookie)[1]); fetch(`/api/classes/${arguments[0]}/students/${arguments[1]}/page`, {method: "POST", headers: {Accept: "application/json", "X-XSRF-TOKEN": xsrf}}).then((r) => r.json()).then((m) => arguments[2](m.page))', [$class, $tobiah()]);
    $browser->go("/my/$link")->see('you sew next');
    $browser->rest();
});
$browser->close();
