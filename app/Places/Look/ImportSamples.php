<?php

declare(strict_types=1);

namespace App\Places\Look;

use App\Models\Enrolment;
use App\Models\PlanSession;
use App\Models\Sample;
use App\Models\SewingClass;
use App\Models\Student;
use App\Models\User;
use App\Records\NewSample;
use App\Records\Shelf;
use App\Support\Conflict;
use App\Support\Csv;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Str;
use OpenSeam\Core\Course\Lesson;
use OpenSeam\Core\InputError;

/**
 * Samples from a table, one reading a row, units named. All of it or nothing:
 * what does not fit is said with its line. The same table twice is kept once.
 *
 * @phpstan-type Asked array{line: int, student: string, lesson: string, session: string, readings: array<string, array<int, string>>, faults: list<string>}
 */
final readonly class ImportSamples
{
    private const NEEDS = ['student', 'session', 'lesson', 'reading', 'value', 'unit'];

    private const UNITS = ['mm', 'in', 'count', 'yes-no', 'step', 'fault'];

    public function __construct(private RecordSample $record, private Shelf $shelf) {}

    /** @throws InputError for a table that cannot be read at all */
    public function __invoke(User $user, SewingClass $class, string $table, bool $try): ImportView
    {
        $rows = Csv::read($table, self::NEEDS, 'table');
        $students = Enrolment::seated($class->id);
        $sessions = PlanSession::ofClass($class->id)->get()->keyBy(fn (PlanSession $s): int => $s->position + 1);
        [$asked, $problems] = [[], []];
        foreach ($rows as $line => $row) {
            try {
                $of = $students->filter(fn (Enrolment $e): bool => mb_strtolower($e->student->name) === mb_strtolower($row['student']));
                if (count($of) > 1 && ($row['seat'] ?? '') !== '') {
                    $of = $of->filter(fn (Enrolment $e): bool => (string) $e->seat === $row['seat']);
                }
                $student = count($of) === 1 ? $of->firstOrFail()->student_id : throw InputError::at('student', $row['student'], count($of) === 0 ? "Nobody called “{$row['student']}” is in this class." : "“{$row['student']}” is the name of ".count($of).': give the seat too.');
                $session = $sessions->get((int) $row['session'])->id ?? throw InputError::at('session', $row['session'], "There is no session {$row['session']}; the plan has ".count($sessions).'.');
                $lesson = $this->lesson($row['lesson']);
                // Rows of one sample say so; else it is one of each lesson in each session.
                $key = implode('|', [$row['sample'] ?? '', $student, $session, $lesson->id]);
                $asked[$key] ??= ['line' => $line, 'student' => $student, 'lesson' => $lesson->id, 'session' => $session, 'readings' => [], 'faults' => []];
                $asked[$key] = self::with($asked[$key], $row, $lesson);
            } catch (InputError $e) {
                $problems[] = new ImportProblemView($line, $e->field, $e->getMessage());
            }
        }
        $kept = $problems === [] ? $this->keep($user, $class, $students->keyBy('student_id')->map(fn (Enrolment $e): Student => $e->student)->all(), $asked, $try, $problems) : 0;

        return new ImportView(count($asked), count(array_unique(array_column($asked, 'student'))), count($rows), $kept, $problems);
    }

    /** @throws InputError */
    private function lesson(string $named): Lesson
    {
        $lessons = $this->shelf->bundle()->lessons;

        return $lessons[$named]
            ?? array_values(array_filter($lessons->all(), fn (Lesson $l): bool => mb_strtolower($l->title) === mb_strtolower($named)))[0]
            ?? throw InputError::at('lesson', $named, "There is no lesson “{$named}” on the shelf.");
    }

    /**
     * @param  Asked  $asked
     * @param  array<string, string>  $row
     * @return Asked
     *
     * @throws InputError
     */
    private static function with(array $asked, array $row, Lesson $lesson): array
    {
        $unit = $row['unit'] === '' ? 'count' : $row['unit'];
        in_array($unit, self::UNITS, true) || throw InputError::at('unit', $unit, "“{$unit}” is no unit here. It must be one of: ".implode(', ', self::UNITS).'.');
        if ($unit === 'fault') {
            $asked['faults'][] = $row['value'];

            return $asked;
        }
        $field = $lesson->sampler->fields()[$row['reading']] ?? throw InputError::at('reading', $row['reading'], "“{$lesson->title}” has no reading “{$row['reading']}”. It has: ".implode(', ', array_keys($lesson->sampler->fields())).'.');
        $mark = ($row['mark'] ?? '') === '' ? 1 : (int) $row['mark'];
        $mark >= 1 && $mark <= $field->size() || throw InputError::at('mark', $row['mark'] ?? '', sprintf('“%s” has marks 1 to %d.', $field->label, $field->size()));
        isset($asked['readings'][$row['reading']][$mark - 1]) && throw InputError::at('mark', $mark, "“{$field->label}”, mark $mark, is in the table twice for this sample.");
        $length = $field->values()[$mark - 1]->length;
        $length === in_array($unit, ['mm', 'in'], true) || throw InputError::at('unit', $unit, $length ? "“{$field->label}” is a length: mm or in." : "“{$field->label}” is no length.");
        $asked['readings'][$row['reading']][$mark - 1] = match ($unit) {
            'mm', 'in' => "{$row['value']} $unit",
            'yes-no' => match (mb_strtolower($row['value'])) {
                'yes', 'y', '1' => '1',
                'no', 'n', '0' => '0',
                default => throw InputError::at('value', $row['value'], "“{$row['value']}” is neither yes nor no."),
            },
            'step' => (string) ((int) $row['value'] - 1),
            default => $row['value'],
        };

        return $asked;
    }

    /**
     * @param  array<array-key, Student>  $students  by id
     * @param  array<string, Asked>  $asked
     * @param  list<ImportProblemView>  $problems
     */
    private function keep(User $user, SewingClass $class, array $students, array $asked, bool $try, array &$problems): int
    {
        $kept = 0;
        DB::beginTransaction();
        $ids = array_map(fn (string $key): string => self::id($key, $asked[$key], $class), array_combine(array_keys($asked), array_keys($asked)));
        $known = array_fill_keys(Sample::query()->whereKey(array_values($ids))->pluck('id')->all(), true);
        foreach ($asked as $key => $of) {
            $id = $ids[$key];
            if (isset($known[$id])) {
                continue;
            }
            $student = $students[$of['student']];
            $readings = array_map(fn (array $marks): array => $marks === [] ? [] : array_map(fn (int $i): ?string => $marks[$i] ?? null, range(0, max(array_keys($marks)))), $of['readings']);
            try {
                ($this->record)($user, $class, $student, new NewSample($id, $of['lesson'], $readings, $of['faults'], [], session: $of['session']));
                $kept++;
            } catch (InputError|Conflict $e) {
                $problems[] = new ImportProblemView($of['line'], $e instanceof InputError ? $e->field : 'sample', $e->getMessage());
            }
        }
        $try || $problems !== [] ? DB::rollBack() : DB::commit();

        return $problems === [] ? $kept : 0;
    }

    /**
     * A sample that went out comes in as itself; one from elsewhere is the same one when the table comes again.
     *
     * @param  Asked  $of
     */
    private static function id(string $key, array $of, SewingClass $class): string
    {
        $named = strtolower(explode('|', $key)[0]);
        if (Str::isUlid($named)) {
            return $named;
        }
        $letters = '0123456789abcdefghjkmnpqrstvwxyz';
        $hash = hash('sha256', $class->id.$key.json_encode($of['readings'], JSON_THROW_ON_ERROR).implode(',', $of['faults']), true);

        return '0'.implode('', array_map(fn (int $i): string => $letters[ord($hash[$i]) & 31], range(0, 24)));
    }
}
