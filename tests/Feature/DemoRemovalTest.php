<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Models\Sample;
use App\Models\SewingClass;
use App\Models\Studio;
use App\Places\Account\Registration;
use Tests\TestCase;

/** An installation begins empty or with the demo, and the demo leaves without a trace of anything else. */
final class DemoRemovalTest extends TestCase
{
    public function test_the_demo_goes_and_a_lived_in_studio_stays(): void
    {
        $this->artisan('seam:welcome')->assertSuccessful()->expectsOutputToContain('demo studio is loaded');
        $class = $this->sewingClass($this->teacher());
        $this->postJson('/api/samples', $this->seam($class, $this->student($class)))->assertCreated();
        $this->artisan('seam:welcome')->assertSuccessful()->expectsOutputToContain('demo remove')->doesntExpectOutputToContain('unbleached calico');
        $this->artisan('seam:demo', ['what' => 'remove'])->assertSuccessful();
        self::assertSame([1, 1, 1], [Studio::query()->count(), SewingClass::query()->count(), Sample::query()->count()]);
        $this->artisan('seam:demo', ['what' => 'remove'])->assertSuccessful()->expectsOutputToContain('no demo studio');
    }

    public function test_an_empty_installation_prints_a_link_and_no_demo(): void
    {
        $this->artisan('seam:welcome', ['--empty' => true])->assertSuccessful()->expectsOutputToContain('/open-a-studio/')->doesntExpectOutputToContain('unbleached calico');
        self::assertSame(0, Studio::query()->count());
        self::assertTrue(app(Registration::class)->isFirst());
    }
}
