<?php

declare(strict_types=1);

namespace OpenSeam\Core\Picture;

use OpenSeam\Core\Words;

/** A word in a picture, by its phrase, so that language and unit are the reader's. */
final readonly class Label
{
    /**
     * @param  string  $key  a phrase "picture.<key>"; empty: a number alone
     * @param  float|null  $mm  a length that it says, mm
     * @param  'start'|'middle'|'end'  $anchor  which of its ends stands at x
     */
    public function __construct(
        public string $key,
        public float $x,
        public float $y,
        public string $anchor = 'middle',
        public ?float $mm = null,
        public string $number = '',
    ) {}

    public function text(Words $words): string
    {
        $with = ['mm' => $this->mm === null ? '' : $words->length($this->mm), 'about' => $this->mm === null ? '' : $words->about($this->mm), 'n' => $this->number];

        return $this->key === '' ? $this->number : $words->say("picture.$this->key", $with);
    }

    public function placed(float $scale, float $x, float $y): self
    {
        return new self($this->key, $this->x * $scale + $x, $this->y * $scale + $y, $this->anchor, $this->mm, $this->number);
    }

    public function mirrored(): self
    {
        return new self($this->key, -$this->x, $this->y, ['start' => 'end', 'end' => 'start', 'middle' => 'middle'][$this->anchor], $this->mm, $this->number);
    }
}
