<?php

declare(strict_types=1);

namespace OpenSeam\Core\Tests\Machine;

use OpenSeam\Core\Machine\Fit;
use OpenSeam\Core\Machine\Foot;
use OpenSeam\Core\Machine\Machine;
use OpenSeam\Core\Machine\Refusal;
use OpenSeam\Core\Machine\Room;
use OpenSeam\Core\Machine\Setup;
use OpenSeam\Core\Tests\Support\RoomFixtures as Made;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/** Every refusal where it fires, and one just inside where it does not. Rules: common practice, no source. */
final class FitTest extends TestCase
{
    /** @return list<string> */
    private static function rules(Machine $m, Foot $f, Setup $s): array
    {
        return array_map(fn (Refusal $r): string => $r->rule, [...Fit::ofMachine($m, $s), ...Fit::ofFoot($m, $f, $s)]);
    }

    /** @return iterable<string, array{string, Machine, Foot, Setup, Setup|Machine|Foot}> rule, what fires it, and the one thing changed so that it does not */
    public static function refusals(): iterable
    {
        $m = Made::machine();
        $standard = Made::foot('standard', ['opening_left_mm' => 4.2, 'opening_right_mm' => 4.2, 'largest_swing_mm' => 7]);
        $satin = Made::foot('satin');
        $zigzag = Made::setup('zigzag', 2, 5);
        yield 'stitch it has not' => ['no-stitch', $m, $standard, Made::setup('honeycomb'), $zigzag];
        yield 'straight-only machine' => ['no-stitch', Made::machine(['drive' => 'straight-only', 'widest_swing_mm' => 0, 'stitch_names' => ['straight' => 'A']]), $standard, $zigzag, Made::setup('straight')];
        yield 'machine’s swing' => ['machine-swing', $m, $satin, Made::setup('zigzag', 2, 5.1), $zigzag];
        yield 'machine’s longest' => ['machine-length', $m, $standard, Made::setup('straight', 4.1), Made::setup('straight', 4.0)];
        yield 'machine’s shortest' => ['machine-length', $m, $satin, Made::setup('satin', 0.2, 4), Made::setup('satin', 0.3, 4)];
        $fixed = Made::machine(['fixed_zigzags' => [['width_mm' => 3, 'length_mm' => 2, 'name' => 'B'], ['width_mm' => 5, 'length_mm' => 2, 'name' => 'C']]]);
        yield 'fixed zigzags' => ['fixed', $fixed, $standard, Made::setup('zigzag', 2, 4), Made::setup('zigzag', 2, 5)];
        yield 'machine’s positions' => ['machine-position', $m, $standard, Made::setup('straight', 2.5, 0, 2.6), Made::setup('straight', 2.5, 0, 2.5)];
        yield 'feed' => ['feed-drop', Made::machine(['feed_drop' => 'none']), Made::foot('button'), Made::setup('button'), Made::machine(['feed_drop' => 'cover'])];
        yield 'no buttonhole' => ['no-buttonhole', Made::machine(['buttonhole' => 'none']), Made::foot('buttonhole-four-step'), Made::setup('buttonhole', 0.5, 4), $m];
        yield 'buttonhole’s length' => ['buttonhole-length', Made::machine(['longest_buttonhole_mm' => 26]), Made::foot('buttonhole-four-step'), Made::setup('buttonhole', 0.5, 4, row: 26.5), Made::setup('buttonhole', 0.5, 4, row: 26)];
        yield 'plate' => ['plate', Made::machine(['slot_mm' => 5.7]), $standard, $zigzag, Made::machine(['slot_mm' => 5.8])];
        yield 'mount' => ['mount', $m, Made::foot('standard', ['mount' => 'high']), $zigzag, $standard];
        yield 'wrong foot' => ['wrong-foot', $m, $standard, Made::setup('blind-hem', 2, 3), Made::foot('blind-hem')];
        yield 'buttonhole foot of the other kind' => ['wrong-foot', $m, Made::foot('buttonhole-one-step'), Made::setup('buttonhole', 0.5, 4), Made::foot('buttonhole-four-step')];
        yield 'straight-only foot' => ['straight-only', $m, Made::foot('straight'), Made::setup('zigzag', 2, 0.5), Made::setup('straight')];
        yield 'foot’s swing' => ['foot-swing', $m, Made::foot('standard', ['largest_swing_mm' => 4.9]), $zigzag, Made::foot('standard', ['largest_swing_mm' => 5])];
        yield 'foot’s least swing' => ['foot-least-swing', Made::machine(['widest_swing_mm' => 7]), Made::foot('overcast'), Made::setup('zigzag', 2, 4.4), Made::setup('zigzag', 2, 4.5)];
        yield 'centre only' => ['centre-only', $m, Made::foot('quarter-inch', ['opening_left_mm' => 4, 'opening_right_mm' => 4]), Made::setup('straight', 2.5, 0, 1), Made::setup('straight')];
        yield 'groove' => ['groove', $m, Made::foot('applique', ['sole' => 'flat']), Made::setup('satin', 0.4, 4), Made::foot('applique')];
        yield 'sole' => ['sole', $m, $standard, Made::setup('straight', 3, 0, 0, 90, true), Made::foot('non-stick')];
        yield 'strike beside a zip' => ['strike', $m, Made::foot('zip', ['open_side' => null, 'opening_left_mm' => 0.5]), Made::setup('straight', 2.5, 0, -0.5), Made::foot('zip', ['opening_left_mm' => 0.5])];
        yield 'strike' => ['strike', $m, Made::foot('standard', ['opening_left_mm' => 2.8, 'opening_right_mm' => 4]), $zigzag, Made::foot('standard', ['opening_left_mm' => 2.9, 'opening_right_mm' => 4])];
    }

    #[DataProvider('refusals')]
    public function test_fires_there_and_not_just_inside(string $rule, Machine $m, Foot $f, Setup $s, Setup|Machine|Foot $inside): void
    {
        self::assertContains($rule, self::rules($m, $f, $s));
        self::assertNotContains($rule, self::rules(
            $inside instanceof Machine ? $inside : $m, $inside instanceof Foot ? $inside : $f, $inside instanceof Setup ? $inside : $s,
        ));
    }

    public function test_all_rules_are_tried_above(): void
    {
        $tried = array_unique(array_map(fn (array $case): string => $case[0], iterator_to_array(self::refusals(), false)));
        preg_match_all("/new Refusal\\('([a-z-]+)'/", (string) file_get_contents(dirname(__DIR__, 2).'/src/Machine/Fit.php'), $found);
        self::assertEqualsCanonicalizing(array_values(array_unique($found[1])), array_values($tried));
    }

    public function test_a_refusal_says_why_with_the_number(): void
    {
        $found = Fit::ofFoot(Made::machine(), Made::foot('standard', ['name' => 'old foot', 'opening_left_mm' => 2.5, 'opening_right_mm' => 4]), Made::setup('zigzag', 2, 5));
        self::assertCount(1, $found);
        self::assertTrue($found[0]->danger);
        self::assertSame('The needle strikes “old foot”: 0.4 mm past its opening on the left.', $found[0]->text);
    }

    public function test_the_room_names_what_would_do_instead(): void
    {
        $room = new Room(
            ['w1' => Made::machine(), 'd7' => Made::machine(['name' => 'Door 7', 'drive' => 'straight-only', 'widest_swing_mm' => 0, 'stitch_names' => ['straight' => 'A']]), 'h' => Made::machine(['name' => 'High', 'mount' => 'high'])],
            ['st' => Made::foot('standard'), 'sa' => Made::foot('satin'), 'none' => Made::foot('satin', ['mount' => 'high', 'count' => 0])],
        );
        $setup = Made::setup('satin', 0.4, 4);
        self::assertSame([['machine' => 'w1', 'foot' => 'sa']], $room->instead($setup, 'w1', 'st'));
        self::assertSame([['machine' => 'w1', 'foot' => 'sa']], $room->instead($setup, 'd7'));
        $d7 = $room->bestFoot('d7', $setup);
        self::assertFalse($d7['works']);
        self::assertStringContainsString('sews straight only', $d7['refusals'][0]->text);
        // A foot of which none is there does not count.
        self::assertFalse($room->bestFoot('h', $setup)['works']);
        self::assertSame('sa', $room->bestFoot('w1', $setup)['foot']);
        self::assertSame('st', $room->bestFoot('w1', Made::setup('straight'))['foot']);
    }

    public function test_the_table_covers_every_machine_and_stitch(): void
    {
        $room = new Room(['w1' => Made::machine()], ['st' => Made::foot('standard'), 'sa' => Made::foot('satin')]);
        $table = $room->table();
        self::assertTrue($table['w1']['zigzag']['works']);
        self::assertFalse($table['w1']['button']['works']);
        self::assertStringContainsString('No foot of this room', $table['w1']['button']['refusals'][0]->text);
        self::assertFalse($table['w1']['wave']['works']);
    }
}
