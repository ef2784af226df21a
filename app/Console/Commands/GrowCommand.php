<?php

declare(strict_types=1);

namespace App\Console\Commands;

use App\Console\Grow;
use Illuminate\Console\Command;

/** Fills an installation that nobody works with: for measurements only. */
final class GrowCommand extends Command
{
    private const SHORTEST_PASSWORD = 12;

    protected $signature = 'seam:grow
        {--studios=1 : how many, each with a teacher evening0@loft.example, evening1@…}
        {--years=0 : of classes that are over}
        {--students=50 : that come in a year}
        {--samples=30 : of each of them; 166 are about 2,000 readings}
        {--password= : of all these teachers}';

    protected $description = 'Invented studios with years behind them, to measure with; not for an installation that people work with';

    public function handle(Grow $grow): int
    {
        $password = $this->option('password');
        if (! is_string($password) || strlen($password) < self::SHORTEST_PASSWORD) {
            $this->error('Say --password=…, at least '.self::SHORTEST_PASSWORD.' letters: it opens all of these studios.');

            return self::FAILURE;
        }
        $numbers = ['studios' => 1, 'years' => 0, 'students' => 2, 'samples' => 0];
        foreach (['studios' => [1, 100_000], 'years' => [0, 30], 'students' => [2, 2_000], 'samples' => [0, 1_000]] as $name => [$least, $most]) {
            $said = $this->option($name);
            if (! is_string($said) || ! ctype_digit($said) || (int) $said < $least || (int) $said > $most) {
                $this->error("--$name is a whole number from $least to $most.");

                return self::FAILURE;
            }
            $numbers[$name] = (int) $said;
        }
        $new = 0;
        for ($i = 0; $i < $numbers['studios']; $i++) {
            $new += $grow->studio($i, $password, $numbers['years'], $numbers['students'], $numbers['samples']) ? 1 : 0;
            $new % 50 !== 0 || $this->line("  $new studios", verbosity: 'v');
        }
        $this->line("$new new studios; ".($numbers['studios'] - $new).' were there already.');

        return self::SUCCESS;
    }
}
