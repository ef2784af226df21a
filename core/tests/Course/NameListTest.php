<?php

declare(strict_types=1);

namespace OpenSeam\Core\Tests\Course;

use OpenSeam\Core\Course\NameList;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/** Names as people write them down. */
final class NameListTest extends TestCase
{
    /** @return iterable<string, array{string, list<string>}> */
    public static function lists(): iterable
    {
        yield 'one a line' => ["Ona\nPim\n\n  Rue  \n", ['Ona', 'Pim', 'Rue']];
        yield 'on one line' => ['Ona, Pim,Rue ', ['Ona', 'Pim', 'Rue']];
        yield 'with semicolons' => ['Ona; Pim;', ['Ona', 'Pim']];
        yield 'last, first, one a line' => ["Weaver, Ona\nDyer, Pim", ['Ona Weaver', 'Pim Dyer']];
        yield 'last, first, on one line' => ['Weaver, Ona; Dyer, Pim', ['Ona Weaver', 'Pim Dyer']];
        yield 'numbered' => ["1. Ona\n2) Pim\n- Rue\n• Sol", ['Ona', 'Pim', 'Rue', 'Sol']];
        yield 'as a spreadsheet gives a column' => ["Ona\r\nPim\r\n", ['Ona', 'Pim']];
        yield 'with marks of other programs' => ["\u{FEFF}Ona\u{00A0}Weaver\n\"Pim\"", ['Ona Weaver', 'Pim']];
        yield 'nothing' => [" \n , ", []];
        yield 'one alone' => ['Ona', ['Ona']];
        yield 'a name with an apostrophe and a hyphen' => ["O'Na-Lee", ["O'Na-Lee"]];
    }

    /** @param  list<string>  $names */
    #[DataProvider('lists')]
    public function test_a_list_of_names(string $text, array $names): void
    {
        $list = NameList::read($text);
        self::assertSame([$names, false, []], [array_column($list->people, 'name'), $list->table, $list->unread]);
        self::assertSame([], array_filter(array_column($list->people, 'problem')));
    }

    public function test_a_table_with_headings_in_any_order_and_with_any_mark_between(): void
    {
        foreach ([',', ';', "\t"] as $mark) {
            $text = implode("\n", array_map(fn (array $row): string => implode($mark, $row), [['Machine at home', 'Name', 'Hand', 'Shoe size'], ['yes', 'Ona', 'left', '38'], ['', 'Pim', 'R', '41'], ['Hearth 5', 'Rue', '', ''], ['no', 'Sol', 'left-handed', '']]));
            $list = NameList::read($text);
            self::assertSame([true, ['Shoe size']], [$list->table, $list->unread]);
            self::assertSame([['Ona', 'left', true], ['Pim', 'right', false], ['Rue', '', true], ['Sol', 'left', false]], array_map(fn (array $p): array => [$p['name'], $p['hand'], $p['own_machine']], $list->people));
        }
        $parted = NameList::read("First name,Surname,Left-handed\n\"Ona\",\"Weaver, the elder\",x\nPim,Dyer,no");
        self::assertSame([['Ona Weaver, the elder', 'left'], ['Pim Dyer', '']], array_map(fn (array $p): array => [$p['name'], $p['hand']], $parted->people));
        self::assertSame('Ona Weaver', NameList::read("Name;Hand\nWeaver, Ona;left")->people[0]['name']);
    }

    public function test_what_cannot_be_is_said_with_its_line_and_with_which(): void
    {
        $long = str_repeat('a', 61);
        $problems = array_column(NameList::read("Ona\nona\nPim\n$long", ['PIM' => 3])->people, 'problem');
        self::assertSame([null, '“ona” stands in line 1 already: add something that tells them apart.', '“Pim” is in this class already, at seat 3: add something that tells them apart.', 'A name has at most 60 letters; this one has 61.'], $problems);
        self::assertSame('Line 3 has no name.', NameList::read("Name,Hand\nOna,left\n,right")->people[1]['problem']);
        $many = NameList::read(implode("\n", array_map(fn (int $n): string => "Student $n", range(1, 42))))->people;
        self::assertSame([null, 'At most 40 at a time: this is number 41.'], [$many[39]['problem'], $many[40]['problem']]);
    }

    /** Whatever is pasted: nothing breaks, every name is short enough or said to be too long, and nothing that was no name becomes one. */
    public function test_whatever_is_pasted(): void
    {
        mt_srand(7);
        for ($i = 0; $i < 400; $i++) {
            $text = implode('', array_map(fn (): string => ['a', 'Ona', ',', ';', "\n", "\t", '"', ' ', 'Name', 'Hand', '1.', "\u{0}", 'é', '🧵', "\r"][mt_rand(0, 14)], range(0, mt_rand(0, 40))));
            foreach (NameList::read($text)->people as $person) {
                self::assertTrue($person['problem'] !== null || ($person['name'] !== '' && mb_strlen($person['name']) <= 60));
                self::assertSame($person['name'], trim($person['name']));
                self::assertDoesNotMatchRegularExpression('/[\n\t\r\x00]/', $person['name']);
            }
        }
    }
}
