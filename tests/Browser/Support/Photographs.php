<?php

declare(strict_types=1);

namespace Tests\Browser\Support;

use App\Support\QrCode;
use App\Support\SlipCode;
use Facebook\WebDriver\Remote\LocalFileDetector;
use Facebook\WebDriver\WebDriverBy;
use OpenSeam\Core\Tests\Support\PhotographedCard;
use RuntimeException;

/** Photographs of a first seam on the card, in a folder that is gone with them. */
final readonly class Photographs
{
    private string $folder;

    public function __construct()
    {
        $this->folder = sys_get_temp_dir().'/seam-photo-'.bin2hex(random_bytes(4));
        mkdir($this->folder);
    }

    public function __destruct()
    {
        array_map(unlink(...), glob("$this->folder/*") ?: []);
        rmdir($this->folder);
    }

    /** @param  string|null  $student  whose slip lies in the box; null: none */
    public static function seam(float $at = 15.6, ?string $student = null, float $turn = 4.0): string
    {
        return PhotographedCard::firstSeam($at, turn: $turn, slip: $student === null ? [] : QrCode::rows(SlipCode::of($student)));
    }

    /** With the cap on the lens. */
    public static function dark(): string
    {
        ob_start();
        imagejpeg(imagecreatetruecolor(400, 300) ?: throw new RuntimeException);

        return (string) ob_get_clean();
    }

    public function file(string $name, string $bytes): string
    {
        file_put_contents("$this->folder/$name", $bytes);

        return "$this->folder/$name";
    }

    /** Chosen as a camera of a phone or a folder gives it. */
    public static function choose(Browser $browser, string $file, string $within = 'main'): void
    {
        $browser->driver->findElement(WebDriverBy::cssSelector("$within input[type=file]"))->setFileDetector(new LocalFileDetector)->sendKeys($file);
    }
}
