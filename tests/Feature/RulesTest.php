<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Models\SkillStanding;
use App\Records\Facts;
use App\Records\FollowRules;
use Tests\TestCase;

/** After an upgrade the levels are those of the new rules. */
final class RulesTest extends TestCase
{
    public function test_standings_follow_when_the_rules_changed_and_only_then(): void
    {
        $class = $this->sewingClass($this->teacher());
        $this->postJson('/api/samples', $this->seam($class, $this->student($class)))->assertCreated();
        $known = fn (): array => SkillStanding::query()->orderBy('id')->pluck('known', 'id')->all();
        $right = $known();
        app(FollowRules::class)();
        SkillStanding::query()->update(['known' => 0.123]);
        self::assertNull(app(FollowRules::class)(), 'the same rules');
        self::assertNotEquals($right, $known());
        Facts::note(Facts::RULES, 'those of the version before');
        self::assertSame(3, app(FollowRules::class)());
        self::assertEquals($right, $known());
    }
}
