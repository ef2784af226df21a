<?php

declare(strict_types=1);

namespace Tests\Feature;

use Tests\TestCase;

/** Tools that are used by looking. */
final class EyesTest extends TestCase
{
    protected function setUp(): void
    {
        parent::setUp();
        $this->sewingClass($this->teacher());
    }

    public function test_a_foot_is_named_by_what_is_seen_on_it(): void
    {
        $parts = array_column((array) $this->getJson('/api/feet/seen')->assertOk()->json(), 'id');
        self::assertContains('scroll', $parts);
        $this->postJson('/api/feet/name', ['seen' => ['scroll']])->assertOk()->assertJsonPath('0.kind', 'rolled-hem')->assertJsonPath('0.strikes', 'Straight stitch only: any swing may strike it.');
        $this->postJson('/api/feet/name', ['seen' => ['one-toe']])->assertOk()->assertJsonPath('0.kind', 'zip');
        $this->assertProblem($this->postJson('/api/feet/name', ['seen' => []]), 422, 'seen', 'Pick at least one thing');
        $this->assertProblem($this->postJson('/api/feet/name', ['seen' => ['wings']]), 422, 'seen[0]', 'scroll');
    }

    public function test_a_blind_hem_is_set_and_moved_once(): void
    {
        $set = ['width_mm' => 3, 'position_mm' => 0, 'blade_mm' => -1, 'width_step_mm' => 0.5, 'position_step_mm' => 0, 'blade_step_mm' => 0.5, 'mirrored' => false, 'stretch' => false, 'pick_mm' => null, 'seen' => null];
        $this->postJson('/api/blind-hem', $set)->assertOk()->assertJsonPath('bite_mm', 0.5)->assertJsonPath('verdict', 'good')->assertJsonPath('move', null);
        $this->postJson('/api/blind-hem', ['blade_mm' => 0] + $set)->assertOk()->assertJsonPath('verdict', 'picks')->assertJsonPath('control', 'blade')->assertJsonPath('to_mm', -1);
        // What is seen on a test counts more than what was worked out.
        $this->postJson('/api/blind-hem', ['seen' => 'misses'] + $set)->assertOk()->assertJsonPath('control', 'width');
        $this->postJson('/api/blind-hem', ['pick_mm' => 3] + $set)->assertOk()->assertJsonPath('control', 'blade')->assertJsonPath('to_mm', -2);
        $this->assertProblem($this->postJson('/api/blind-hem', ['seen' => 'stars'] + $set), 422, 'seen', 'seen');
        $this->assertProblem($this->postJson('/api/blind-hem', ['width_mm' => 99] + $set), 422, 'width_mm', '12');
    }
}
