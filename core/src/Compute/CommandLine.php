<?php

declare(strict_types=1);

namespace OpenSeam\Core\Compute;

use OpenSeam\Core\InputError;
use Throwable;

/** `./seam compute`: one JSON object in, one out. Exit 0: worked; 2: the input is wrong. */
final readonly class CommandLine
{
    private const USAGE = 'Usage: seam compute NAME [--batch] < in.json | seam compute NAME --schema | seam compute NAME --example | seam compute --list';

    /**
     * @param  resource  $in
     * @param  resource  $out
     */
    public function __construct(private Registry $registry, private mixed $in, private mixed $out) {}

    /**
     * @param  list<string>  $arguments
     * @return int exit code
     */
    public function run(array $arguments): int
    {
        $options = array_values(array_filter($arguments, fn (string $a): bool => str_starts_with($a, '--')));
        $names = array_values(array_diff($arguments, $options));
        try {
            foreach ($options as $option) {
                in_array($option, ['--list', '--schema', '--example', '--batch'], true) || throw InputError::at('option', $option, self::USAGE);
            }
            if (in_array('--list', $options, true)) {
                foreach ($this->registry->all() as $name => $calculator) {
                    $this->line(str_pad($name, 20).$calculator->summary());
                }

                return 0;
            }
            $calculator = $this->registry->get($names[0] ?? throw InputError::at('name', null, self::USAGE));
            isset($names[1]) && throw InputError::at('name', $names[1], 'One calculation at a time. '.self::USAGE);
            if (in_array('--schema', $options, true)) {
                $this->line(self::json(['$schema' => Schema::DRAFT, 'title' => $calculator->name(), 'description' => $calculator->summary()] + $calculator->schema(), true));

                return 0;
            }
            if (in_array('--example', $options, true)) {
                $this->line(self::json($calculator->example(), true));

                return 0;
            }

            return in_array('--batch', $options, true)
                ? $this->batch($calculator->name())
                : $this->one($calculator->name(), (string) stream_get_contents($this->in));
        } catch (InputError $e) {
            return $this->error($e);
        }
    }

    private function batch(string $name): int
    {
        $exit = 0;
        while (($line = fgets($this->in)) !== false) {
            if (trim($line) !== '') {
                $exit = max($exit, $this->one($name, $line));
            }
        }

        return $exit;
    }

    private function one(string $name, string $json): int
    {
        try {
            $this->line(self::json($this->registry->run($name, $json)));

            return 0;
        } catch (InputError $e) {
            return $this->error($e);
        } catch (Throwable $e) {
            // A line never ends the batch, whatever goes wrong in it.
            fwrite(STDERR, $e::class.': '.$e->getMessage().' at '.basename($e->getFile()).':'.$e->getLine()."\n");

            return $this->error(InputError::at('(program)', null, 'Something went wrong in the program with this input.'));
        }
    }

    private function error(InputError $e): int
    {
        $this->line(self::json(['error' => ['field' => $e->field, 'got' => $e->got, 'message' => $e->getMessage()]]));

        return 2;
    }

    private function line(string $text): void
    {
        // Whoever reads may have had enough, as `head` has: that is no fault of the calculation.
        @fwrite($this->out, $text."\n");
    }

    /** @param  array<string, mixed>  $data */
    private static function json(array $data, bool $pretty = false): string
    {
        return json_encode($data, JSON_THROW_ON_ERROR | JSON_UNESCAPED_UNICODE | JSON_UNESCAPED_SLASHES | JSON_INVALID_UTF8_SUBSTITUTE | ($pretty ? JSON_PRETTY_PRINT : 0));
    }
}
