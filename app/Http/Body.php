<?php

declare(strict_types=1);

namespace App\Http;

use App\Models\User;
use Closure;
use Illuminate\Auth\AuthenticationException;
use Illuminate\Contracts\Validation\Factory as ValidationFactory;
use Illuminate\Contracts\Validation\Validator;
use Illuminate\Foundation\Http\FormRequest;
use OpenSeam\Core\InputError;

/** A checked request body with typed ways to read it. */
abstract class Body extends FormRequest
{
    /** @return array<string, mixed> */
    abstract public function rules(): array;

    /** Each field is looked at until the first thing that is wrong with it; numbers must be ones that can be worked with. */
    protected function createDefaultValidator(ValidationFactory $factory): Validator
    {
        $this->checkSizes();
        $rules = [];
        foreach ($this->rules() as $field => $of) {
            $of = is_array($of) ? array_values($of) : [$of];
            $number = array_intersect(array_filter($of, is_string(...)), ['numeric', 'integer']) === [] ? [] : [self::finite(...)];
            $rules[$field] = ['bail', ...$number, ...$of];
        }

        return $factory->make($this->validationData(), $rules, $this->messages(), $this->attributes());
    }

    private static function finite(string $attribute, mixed $value, Closure $fail): void
    {
        is_numeric($value) && (! is_finite((float) $value) || abs((float) $value) > 1e15) && $fail('“:attribute” is too large a number.');
    }

    /**
     * Lists that are too long are turned away before anything looks at what is in them.
     *
     * @throws InputError naming the first
     */
    private function checkSizes(): void
    {
        $sent = $this->all();
        $lists = array_filter($this->rules(), fn (mixed $of): bool => is_array($of) && array_filter($of, fn (mixed $r): bool => is_string($r) && preg_match('/^array(:|$)/', $r) === 1) !== []);
        // What holds others first.
        uksort($lists, fn (string $a, string $b): int => substr_count($a, '.') <=> substr_count($b, '.'));
        foreach ($lists as $field => $of) {
            foreach (is_array($of) ? $of : [] as $rule) {
                if (is_string($rule) && preg_match('/^max:(\d+)$/', $rule, $m) === 1) {
                    self::checkSize($sent, explode('.', $field), '', (int) $m[1]);
                }
            }
        }
    }

    /** @param  list<string>  $path */
    private static function checkSize(mixed $value, array $path, string $at, int $most): void
    {
        if (! is_array($value)) {
            return;
        }
        if ($path === []) {
            count($value) <= $most || throw InputError::at($at, count($value), sprintf('“%s” can have at most %d entries.', $at, $most));

            return;
        }
        $step = array_shift($path);
        foreach ($step === '*' ? array_keys($value) : [$step] as $key) {
            self::checkSize($value[$key] ?? null, $path, $at === '' ? (string) $key : "$at.$key", $most);
        }
    }

    /** Who sent it. */
    public function teacher(): User
    {
        $user = $this->user();

        return $user instanceof User ? $user : throw new AuthenticationException;
    }

    public function word(string $name, string $default = ''): string
    {
        $value = $this->validated($name);

        return is_string($value) ? $value : $default;
    }

    public function wordOrNull(string $name): ?string
    {
        $value = $this->validated($name);

        return is_string($value) && $value !== '' ? $value : null;
    }

    public function whole(string $name, int $default = 0): int
    {
        $value = $this->validated($name);

        return is_numeric($value) ? (int) $value : $default;
    }

    public function amount(string $name): float
    {
        $value = $this->validated($name);

        return is_numeric($value) ? (float) $value : 0.0;
    }

    /** @return list<string> */
    public function words(string $name): array
    {
        $value = $this->validated($name);
        is_array($value) && ksort($value);

        return is_array($value) ? array_values(array_filter($value, is_string(...))) : [];
    }

    /**
     * A part of the body exactly as it was sent, empty texts and blanks included.
     *
     * @return array<string, mixed>
     */
    protected function asSent(string $name): array
    {
        $sent = json_decode($this->getContent(), true, 64);
        $part = is_array($sent) ? $sent[$name] ?? null : null;

        /** @var array<string, mixed> $part */
        return is_array($part) ? $part : [];
    }

    /** @return array<string, string|array<string, string>> */
    public function messages(): array
    {
        return [
            'required' => '“:attribute” must be given.',
            'string' => '“:attribute” must be text.',
            'integer' => '“:attribute” must be a whole number.',
            'boolean' => '“:attribute” must be true or false.',
            'array' => '“:attribute” must be a list.',
            'min' => ['numeric' => '“:attribute” must be at least :min.', 'string' => '“:attribute” needs at least :min characters.', 'array' => '“:attribute” needs at least :min in it.'],
            'max' => ['numeric' => '“:attribute” can be at most :max.', 'string' => '“:attribute” can have at most :max characters.', 'array' => '“:attribute” can have at most :max entries.'],
            'numeric' => '“:attribute” must be a number.',
            'size' => ['array' => '“:attribute” must have :size in it.'],
            'in' => '“:attribute” must be one of: :values.',
            'date_format' => '“:attribute” must be written as :format.',
            'email' => '“:attribute” must be an e-mail address.',
            'ulid' => '“:attribute” must be an id of 26 letters and digits (ULID).',
            'timezone' => '“:attribute” must be a time zone such as UTC.',
            'required_if' => '“:attribute” must be given here.',
            'required_without' => '“:attribute” must be given, or “:values”.',
            'distinct' => '“:attribute” is there twice.',
        ];
    }
}
