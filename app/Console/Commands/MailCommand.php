<?php

declare(strict_types=1);

namespace App\Console\Commands;

use Illuminate\Console\Command;

/** What lies in the mailbox of a machine without a mail server, with the links in it, for whoever runs it to hand on. */
final class MailCommand extends Command
{
    protected $signature = 'seam:mail {--count=10}';

    protected $description = 'Show the newest messages that could not go out by mail';

    public function handle(): int
    {
        $files = glob(config()->string('mail.mailers.mailbox.folder').'/*.eml') ?: [];
        rsort($files);
        foreach (array_slice($files, 0, max(1, (int) $this->option('count'))) as $file) {
            $text = (string) file_get_contents($file);
            [$head, $body] = explode("\r\n\r\n", $text, 2) + ['', ''];
            $body = str_contains($head, 'quoted-printable') ? quoted_printable_decode($body) : $body;
            preg_match_all('#https?://\S+#', $body, $links);
            $header = fn (string $name): string => preg_match("/^$name: (.*)$/mi", $head, $m) === 1 ? mb_decode_mimeheader(trim($m[1])) : '';
            $this->line(sprintf('%s  to %s: %s', date('Y-m-d H:i', (int) filemtime($file)), $header('To'), $header('Subject')));
            foreach ($links[0] as $link) {
                $this->line("  $link");
            }
        }
        $files === [] && $this->line('The mailbox is empty.');

        return self::SUCCESS;
    }
}
