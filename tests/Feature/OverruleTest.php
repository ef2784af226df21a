<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Models\SkillStanding;
use Tests\TestCase;

/** The teacher's own verdict, and a sample beside the one before. */
final class OverruleTest extends TestCase
{
    public function test_an_overruled_verdict_is_kept_shown_and_counted(): void
    {
        $class = $this->sewingClass($this->teacher());
        $student = $this->student($class);
        $own = ['seam.steering' => ['verdict' => 'not-yet', 'because' => 'the helper steered']];
        $sample = $this->seam($class, $student, ['overruled' => $own]);
        $preview = array_diff_key($sample, ['id' => 1]);
        $shown = $this->postJson('/api/samples/preview', $preview)->assertOk()->assertJsonPath('verdict', 'not-yet');
        $check = collect((array) $shown->json('checks'))->firstWhere('key', 'seam.steering');
        self::assertSame(['not-yet', ['read' => 'met', 'because' => 'the helper steered']], [$check['verdict'], $check['overruled']]);
        $this->postJson('/api/samples', $sample)->assertCreated()->assertJsonPath('judged.verdict', 'not-yet');
        // It counts as evidence, and a rebuild from what is stored finds the same.
        $before = SkillStanding::query()->where('student_id', $student)->orderBy('skill')->get()->map(fn (SkillStanding $s): array => [$s->skill, round($s->known, 9)])->all();
        self::assertLessThan(0.5, array_column($before, 1, 0)['keep-allowance']);
        $this->artisan('seam:rebuild-standings')->assertSuccessful();
        self::assertEquals($before, SkillStanding::query()->where('student_id', $student)->orderBy('skill')->get()->map(fn (SkillStanding $s): array => [$s->skill, round($s->known, 9)])->all());
        $shown = (array) $this->getJson("/api/classes/{$class->id}/students/$student/skills/keep-allowance")->assertOk()->json('showings.0.checks');
        self::assertContains('the helper steered', array_map(fn (array $c): ?string => $c['overruled']['because'] ?? null, $shown));
        $this->getJson('/api/soundness')->assertJsonPath('overruled', 1);
        self::assertGreaterThan(5, $this->getJson('/api/soundness')->json('verdicts'));
    }

    public function test_what_is_no_verdict_of_a_teacher_is_refused(): void
    {
        $class = $this->sewingClass($this->teacher());
        $student = $this->student($class);
        foreach ([
            'overruled.seam.steering.verdict' => ['seam.steering' => ['verdict' => 'splendid', 'because' => 'x']],
            'overruled.seam.steering.because' => ['seam.steering' => ['verdict' => 'met', 'because' => ' ']],
            'overruled.seam.song' => ['seam.song' => ['verdict' => 'met', 'because' => 'x']],
        ] as $field => $own) {
            foreach (['/api/samples', '/api/samples/preview'] as $address) {
                $body = $this->seam($class, $student, ['overruled' => $own]);
                $response = $this->postJson($address, $address === '/api/samples' ? $body : array_diff_key($body, ['id' => 1]));
                self::assertSame(422, $response->status());
                self::assertSame($field, $response->json('error.field'));
            }
        }
        $this->assertDatabaseCount('samples', 0);
    }

    public function test_a_sample_stands_beside_the_one_before(): void
    {
        $class = $this->sewingClass($this->teacher());
        $student = $this->student($class);
        $readings = fn (array $marks): array => ['readings' => ['seam.allowance' => $marks] + $this->seam($class, $student)['readings']];
        $this->postJson('/api/samples', $this->seam($class, $student, $readings([20, 18, 16, 14, 12])))->assertCreated();
        $now = $this->postJson('/api/samples/preview', array_diff_key($this->seam($class, $student), ['id' => 1]))->assertOk();
        self::assertSame(['seam'], array_column((array) $now->json('before'), 'row'), 'the row before stands beside the row now');
        $how = array_column((array) $now->json('compared'), 'how', 'key');
        self::assertSame(['better', 'same'], [$how['seam.steering'], $how['seam.pull']]);
        // Nothing of another student's.
        $other = $this->seam($class, $this->student($class, 2));
        $this->postJson('/api/samples/preview', array_diff_key($other, ['id' => 1]))->assertOk()->assertJsonPath('compared', [])->assertJsonPath('before', []);
    }
}
