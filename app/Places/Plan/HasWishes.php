<?php

declare(strict_types=1);

namespace App\Places\Plan;

use App\Http\Keyed;
use OpenSeam\Core\Course\Planning\TeachingOrder;
use OpenSeam\Core\Course\Repeats;

/** What a teacher wants of a plan, in a body. Sessions are numbered from 1 there, and from 0 inside. */
trait HasWishes
{
    /** @return array<string, list<string|Keyed>> */
    protected function wishRules(): array
    {
        $rules = [
            'together' => ['sometimes', 'array', 'max:40'],
            'together.*' => ['required', 'array', 'min:2', 'max:20'],
            'together.*.*' => ['required', 'string', 'max:60'],
            'home' => ['sometimes', 'array', 'max:60'],
            'sure' => ['sometimes', 'nullable', 'numeric', 'min:'.Repeats::LEAST, 'max:'.Repeats::MOST],
            'home.*' => ['required', 'string', 'max:60', 'distinct'],
            'order' => ['sometimes', 'string', 'in:'.implode(',', array_map(fn (TeachingOrder $o): string => $o->value, TeachingOrder::cases()))],
        ];
        foreach (['pins', 'not_before', 'not_after'] as $bounds) {
            $rules[$bounds] = ['sometimes', 'array', new Keyed, 'max:120'];
            $rules["$bounds.*"] = ['required', 'integer', 'min:1', 'max:60'];
        }

        return $rules;
    }

    /** @return array<string, list<string>> */
    protected function frameRules(): array
    {
        return [
            'settle' => ['sometimes', 'integer', 'min:0', 'max:120'],
            'clear' => ['sometimes', 'integer', 'min:0', 'max:120'],
            'review_every' => ['sometimes', 'integer', 'min:0', 'max:60'],
            'review_minutes' => ['sometimes', 'integer', 'min:0', 'max:240'],
            'pace' => ['sometimes', 'integer', 'min:50', 'max:300'],
        ];
    }

    /** @return array<string, mixed> those that were sent, as PlanWishes::kept() has them, and the share that is to be sure */
    public function wishes(): array
    {
        $wishes = [];
        foreach (['pins', 'not_before', 'not_after'] as $bounds) {
            if ($this->has($bounds)) {
                $wishes[$bounds] = $this->bounds($bounds);
            }
        }
        $together = $this->input('together');
        if (is_array($together)) {
            $wishes['together'] = array_values(array_map(fn (mixed $g): array => is_array($g) ? array_values(array_filter($g, is_string(...))) : [], $together));
        }
        $this->has('home') && $wishes['home'] = $this->words('home');
        if ($this->exists('sure')) {
            $sure = $this->input('sure');
            $wishes['sure'] = is_numeric($sure) ? (float) $sure : null;
        }
        $this->has('order') && $wishes['order'] = $this->word('order');

        return $wishes;
    }

    /** @return array<array-key, int>|null session from 0, by lesson; null when none were sent */
    public function pins(): ?array
    {
        return $this->has('pins') ? $this->bounds('pins') : null;
    }

    /** @return array<string, int> columns of the class that were sent */
    public function frame(): array
    {
        $columns = ['settle' => 'settle_minutes', 'clear' => 'clear_minutes', 'review_every' => 'review_every', 'review_minutes' => 'review_minutes', 'pace' => 'pace_percent'];
        $sent = [];
        foreach ($columns as $field => $column) {
            if ($this->has($field)) {
                $sent[$column] = $this->whole($field);
            }
        }

        return $sent;
    }

    /** @return array<array-key, int> */
    private function bounds(string $name): array
    {
        $sent = $this->input($name);

        return is_array($sent) ? array_map(fn (mixed $n): int => (is_numeric($n) ? (int) $n : 1) - 1, $sent) : [];
    }
}
