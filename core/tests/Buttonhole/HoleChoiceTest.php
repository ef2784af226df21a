<?php

declare(strict_types=1);

namespace OpenSeam\Core\Tests\Buttonhole;

use OpenSeam\Core\Buttonhole\Run;
use OpenSeam\Core\Buttonhole\RunFacts;
use OpenSeam\Core\Compute\Registry;
use OpenSeam\Core\Data;
use OpenSeam\Core\Machine\ButtonholeWay;
use OpenSeam\Core\Machine\OwnButtonhole;
use OpenSeam\Core\Tables;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/** Kind, direction, stabiliser, and the run of each way: facts of the trade, common practice, no source. */
final class HoleChoiceTest extends TestCase
{
    private const ALL = ['rectangular', 'round-ended', 'keyhole', 'stretch'];

    /**
     * @param  array<string, mixed>  $in
     * @param  list<string>  $stabiliser
     */
    #[DataProvider('garments')]
    public function test_what_suits_a_garment(array $in, string $kind, string $direction, ?string $also, array $stabiliser): void
    {
        $out = self::choose($in);
        self::assertSame([$kind, $direction, $also, $stabiliser], [$out['kind'], $out['direction'], $out['also'], $out['stabiliser']]);
        self::assertGreaterThanOrEqual(3, count($out['why']));
    }

    /** @return iterable<string, array{array<string, mixed>, string, string, string|null, list<string>}> */
    public static function garments(): iterable
    {
        yield 'a shirt front' => [[], 'rectangular', 'vertical', null, ['fusible-inside']];
        yield 'its cuff' => [['part' => 'cuff'], 'rectangular', 'horizontal', 'vertical', ['fusible-inside']];
        yield 'its collar stand' => [['part' => 'collar-stand'], 'rectangular', 'horizontal', 'vertical', ['fusible-inside']];
        yield 'the pattern goes first' => [['part' => 'cuff', 'pattern_says' => 'vertical'], 'rectangular', 'vertical', null, ['fusible-inside']];
        yield 'a waistband in hard wear, with a spur' => [['part' => 'waistband', 'wear' => 'hard'], 'corded', 'horizontal', null, ['fusible-inside']];
        yield 'a coat' => [['part' => 'coat', 'cloth' => ['weight' => 'heavy', 'stretch' => 'none', 'delicate' => false, 'fraying' => false]], 'keyhole', 'horizontal', null, []];
        yield 'a blouse of voile' => [['cloth' => ['weight' => 'light', 'stretch' => 'none', 'delicate' => true, 'fraying' => true]], 'round-ended', 'vertical', null, ['fusible-inside', 'tear-away-beneath']];
        yield 'a knitted front' => [['cloth' => ['weight' => 'medium', 'stretch' => 'two-way', 'delicate' => false, 'fraying' => false]], 'stretch', 'vertical', null, ['fusible-inside']];
        yield 'a bulky knit' => [['cloth' => ['weight' => 'heavy', 'stretch' => 'one-way', 'delicate' => false, 'fraying' => false]], 'corded', 'vertical', null, ['fusible-inside']];
        yield 'a button on a shank' => [['button' => ['shape' => 'domed', 'shank' => true, 'diameter_mm' => 18, 'thickness_mm' => 4]], 'keyhole', 'vertical', null, ['fusible-inside']];
        yield 'a bag that is pulled' => [['part' => 'other', 'wear' => 'hard'], 'corded', 'horizontal', null, ['fusible-inside']];
    }

    public function test_what_this_machine_has_not_is_refused_and_the_next_best_is_sewn(): void
    {
        $knit = ['cloth' => ['weight' => 'heavy', 'stretch' => 'two-way', 'delicate' => false, 'fraying' => false]];
        $out = self::choose($knit + ['machine' => ['way' => 'four-step', 'kinds' => ['rectangular'], 'spur' => false]]);
        self::assertSame(['rectangular', ['corded', 'stretch']], [$out['kind'], array_column($out['refused'], 'kind')]);
        self::assertStringContainsString('spur', $out['refused'][0]['why']);
        // A machine without a way of its own sews one by hand, whatever its list says.
        $hand = self::choose(['machine' => ['way' => 'none', 'kinds' => ['keyhole'], 'spur' => false], 'part' => 'coat']);
        self::assertSame(['rectangular', true, ['keyhole']], [$hand['kind'], $hand['by_hand'], array_column($hand['refused'], 'kind')]);
    }

    /** The needle is out before anything turns; what a machine has not is never spoken of; every part is sewn once, and the hole is closed. */
    #[DataProvider('ways')]
    public function test_a_run_of_each_way(ButtonholeWay $way, string $kind, string $starts, bool $more): void
    {
        $run = Run::of($way, $kind, new RunFacts($starts, $more, $more, $more), 7);
        $acts = array_column($run->acts, 'text', 'id');
        self::assertCount(count($run->acts), $acts, 'each act has a name of its own');
        self::assertSame($starts === '', isset($acts['find-start']));
        self::assertSame($more && $way === ButtonholeWay::OneStep, isset($acts['lever']));
        self::assertSame($more && $way->isOneStep(), isset($acts['straight']));
        self::assertSame([$more, ! $more], [isset($acts['ties']), isset($acts['tie'])]);
        self::assertSame($kind === 'corded', isset($acts['cord'], $acts['draw-cord']));
        self::assertStringNotContainsString('{', implode(' ', $acts));
        foreach ($run->acts as $act) {
            if (preg_match('/; (turn|selector) to/', $act['text']) === 1) {
                self::assertStringStartsWith('Needle out', $act['text']);
                self::assertArrayHasKey('caution', $act);
            }
        }
        $parts = array_column($run->path, 'part');
        self::assertSame($more && $way->isOneStep() ? ['straight-left', 'straight-right'] : [], array_slice($parts, 0, -4));
        self::assertSame(['side-left', match ($kind) {
            'keyhole' => 'eye', 'round-ended' => 'round-end', default => 'bar',
        }, 'side-right', 'bar'], array_slice($parts, -4));
        // Each part begins where the last one ended, and it comes home.
        $at = $run->path[0]['from'];
        foreach ($run->path as $part) {
            self::assertSame($at, $part['from']);
            $at = $part['to'];
        }
        self::assertSame($run->path[0]['from'], $at);
        // Cloth is fed away: from its back to its front is forwards.
        self::assertSame(['back' => 'forwards', 'front' => 'backwards', '' => 'away-from-start'][$starts], $run->path[0]['direction']);
    }

    public function test_a_run_speaks_in_the_machines_own_words(): void
    {
        $facts = new RunFacts('back', marks: ['a', 'b', 'c', 'd'], firstSide: 'right', looked: false);
        $run = Run::of(ButtonholeWay::FourStep, 'rectangular', $facts, 6, 'Slider to 6.5 lines.');
        $acts = array_column($run->acts, 'text', 'id');
        self::assertSame(['Slider to 6.5 lines.', 'Step a: the right side, from the back to the front. The last stitches by hand wheel.', 'Needle out and at its highest; turn to b.'], [$acts['set-length'], $acts['side-1'], $acts['turn-1']]);
        self::assertArrayHasKey('find-rest', $acts, 'what nobody saw is watched for');
        self::assertSame(['side-right', 'bar', 'side-left', 'bar'], array_column($run->path, 'part'));
        // Where it has no words of its own, what is usual.
        $usual = array_column(Run::of(ButtonholeWay::ThreePosition, 'rectangular', new RunFacts('front'))->acts, 'text', 'id');
        self::assertSame(['Position left: the left side, from the front to the back. The last stitches by hand wheel.', 'Needle out and at its highest; selector to bars.'], [$usual['side-1'], $usual['turn-1']]);
        self::assertArrayNotHasKey('set-length', $usual);
        self::assertArrayNotHasKey('find-rest', $usual);
    }

    /** The words are those of the kind: its shaped end is no bar, and a kind without one is not told where it lies. */
    public function test_a_run_speaks_of_the_kind_that_is_sewn(): void
    {
        foreach (['keyhole' => 'eye', 'round-ended' => 'round end', 'rectangular' => null, 'stretch' => null, 'corded' => null] as $kind => $end) {
            $acts = array_column(Run::of(ButtonholeWay::OneStep, $kind, new RunFacts('front'))->acts, 'text', 'id');
            self::assertSame([$end !== null, $kind === 'stretch'], [isset($acts['shaped-end']), isset($acts['stretch-on'])]);
            self::assertStringContainsString('the '.($end ?? 'bar').' at the back', $acts['sew']);
        }
    }

    /** What a machine cannot do it is not asked for; every sign is a fault that the finder knows. */
    public function test_what_it_may_have_done_instead_goes_by_who_turns_it_round(): void
    {
        $faults = array_map(fn (Data $f): string => $f->text('id'), Tables::read('causes')->parts('faults'));
        foreach (ButtonholeWay::cases() as $way) {
            $named = array_column(Run::of($way, 'rectangular', new RunFacts('front'))->instead, 'fault');
            self::assertSame([], array_diff($named, $faults));
            self::assertSame([$way->isOneStep(), ! $way->isOneStep()], [in_array('bh-short', $named, true), in_array('bh-overrun', $named, true)], $way->value);
        }
    }

    /** @return iterable<array{ButtonholeWay, string, string, bool}> */
    public static function ways(): iterable
    {
        foreach (ButtonholeWay::cases() as $way) {
            foreach (OwnButtonhole::KINDS as $kind) {
                foreach (['front', 'back', ''] as $starts) {
                    yield [$way, $kind, $starts, false];
                    yield [$way, $kind, $starts, true];
                }
            }
        }
    }

    /**
     * @param  array<string, mixed>  $in
     * @return array<string, mixed>
     */
    private static function choose(array $in): array
    {
        return Registry::standard()->get('choose-buttonhole')->run(Data::of($in + [
            'cloth' => ['weight' => 'medium', 'stretch' => 'none', 'delicate' => false, 'fraying' => false], 'button' => ['shape' => 'flat', 'shank' => false, 'diameter_mm' => 12, 'thickness_mm' => 3],
            'part' => 'front', 'wear' => 'light', 'machine' => ['way' => 'one-step', 'kinds' => self::ALL, 'spur' => true],
        ]));
    }
}
