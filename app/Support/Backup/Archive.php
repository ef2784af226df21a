<?php

declare(strict_types=1);

namespace App\Support\Backup;

use ZipArchive;

/** One file with a manifest and a part for each table. Only data lie in it: nothing of it is ever run. */
final readonly class Archive
{
    private const MANIFEST = 'manifest.json';

    /** A photo at its largest in base64, and to spare. */
    private const LONGEST_LINE = 32_000_000;

    private const PIECE = 1_048_576;

    private function __construct(private string $file, public Manifest $manifest) {}

    /**
     * Everything as it is at one moment, put into a new file.
     *
     * @throws BackupBroken when it cannot be written
     */
    public static function write(Snapshot $snapshot, string $file, string $madeAt): self
    {
        $folder = dirname($file).'/.'.basename($file).'.parts';
        is_dir($folder) || @mkdir($folder, 0700, true) || throw BackupBroken::written($file);
        try {
            $manifest = $snapshot->into($folder, $madeAt);
            file_put_contents("$folder/".self::MANIFEST, $manifest->toJson()) !== false || throw BackupBroken::written($file);
            $zip = new ZipArchive;
            $zip->open("$file.part", ZipArchive::CREATE | ZipArchive::OVERWRITE) === true || throw BackupBroken::written($file);
            $zip->addFile("$folder/".self::MANIFEST, self::MANIFEST);
            foreach (array_keys($manifest->tables) as $table) {
                $zip->addFile("$folder/$table.jsonl", self::part($table));
            }
            @$zip->close() || throw BackupBroken::written($file);
            chmod("$file.part", 0600);
            self::open("$file.part")->verify();
            rename("$file.part", $file) || throw BackupBroken::written($file);
        } finally {
            array_map(unlink(...), glob("$folder/*") ?: []);
            @rmdir($folder);
            @unlink("$file.part");
        }

        return new self($file, $manifest);
    }

    /** @throws BackupBroken for what is no backup, or one of a newer format */
    public static function open(string $file): self
    {
        is_file($file) && is_readable($file) || throw BackupBroken::notThere($file);
        $zip = new ZipArchive;
        if (filesize($file) < 100 || $zip->open($file, ZipArchive::RDONLY | ZipArchive::CHECKCONS) !== true) {
            throw BackupBroken::notABackup();
        }
        try {
            $stat = $zip->statName(self::MANIFEST);
            $json = $stat === false || $stat['size'] > self::LONGEST_LINE ? false : $zip->getFromName(self::MANIFEST);
            $manifest = Manifest::read($json === false ? '' : $json);
            $named = array_map(fn (string $t): string => self::part($t), array_keys($manifest->tables));
            $held = [];
            for ($i = 0; $i < $zip->numFiles; $i++) {
                $held[] = (string) $zip->getNameIndex($i);
            }
            foreach (array_diff($held, [self::MANIFEST, ...$named]) as $foreign) {
                throw BackupBroken::entry(mb_substr($foreign, 0, 60), 'is not in its list of contents');
            }
        } finally {
            $zip->close();
        }

        return new self($file, $manifest);
    }

    /**
     * Reads it whole: every part is there, as long and with the digest as said. What its lines hold is asked when they are read.
     *
     * @throws BackupBroken
     */
    public function verify(): void
    {
        foreach ($this->manifest->tables as $table => $of) {
            $hash = hash_init('sha256');
            $rows = 0;
            $this->reading($table, function ($stream) use ($table, $hash, &$rows): void {
                while (! feof($stream)) {
                    $read = @fread($stream, self::PIECE);
                    $read !== false || throw BackupBroken::entry($table, 'cannot be read to its end');
                    hash_update($hash, $read);
                    $rows += substr_count($read, "\n");
                }
            });
            $rows === $of['rows'] || throw BackupBroken::entry($table, "holds $rows rows, not the {$of['rows']} it should");
            hash_equals($of['sha256'], hash_final($hash)) || throw BackupBroken::entry($table, 'was changed: its digest is another one');
        }
    }

    /**
     * @param  callable(list<scalar|null>, string): mixed  $do  with the row and its line
     * @param  int  $from  rows that are passed over
     *
     * @throws BackupBroken when a line is no row of the table
     */
    public function eachRow(string $table, callable $do, int $from = 0): void
    {
        $columns = count($this->manifest->tables[$table]['columns']);
        $this->reading($table, function ($stream) use ($table, $do, $from, $columns): void {
            for ($at = 0; ($line = @fgets($stream, self::LONGEST_LINE)) !== false; $at++) {
                if ($at < $from) {
                    continue;
                }
                $row = json_decode($line, true, 3);
                is_array($row) && array_is_list($row) && count($row) === $columns && array_filter($row, is_array(...)) === [] && str_ends_with($line, "\n")
                    || throw BackupBroken::entry($table, 'holds a line that is no row of it');
                /** @var list<scalar|null> $row */
                $do($row, $line);
            }
            feof($stream) || throw BackupBroken::entry($table, 'cannot be read to its end');
        });
    }

    /**
     * @param  callable(resource): void  $do
     *
     * @throws BackupBroken when the part is not there
     */
    private function reading(string $table, callable $do): void
    {
        $zip = new ZipArchive;
        $zip->open($this->file, ZipArchive::RDONLY) === true || throw BackupBroken::notABackup();
        $stream = $zip->getStream(self::part($table));
        try {
            $stream !== false || throw BackupBroken::entry($table, 'is missing');
            $do($stream);
        } finally {
            is_resource($stream) && fclose($stream);
            $zip->close();
        }
    }

    private static function part(string $table): string
    {
        return "tables/$table.jsonl";
    }
}
