<?php

declare(strict_types=1);

namespace App\Support;

use Symfony\Component\Mailer\SentMessage;
use Symfony\Component\Mailer\Transport\AbstractTransport;

/** Without a mail server messages lie in a folder of this machine, for whoever runs it to hand on: ./seam mail */
final class MailboxTransport extends AbstractTransport
{
    /** Older ones are gone: what they hold has ended long since. */
    private const MOST = 200;

    public function __construct(private readonly string $folder)
    {
        parent::__construct();
    }

    protected function doSend(SentMessage $message): void
    {
        is_dir($this->folder) || mkdir($this->folder, 0700, true);
        $file = sprintf('%s/%s-%s.eml', $this->folder, date('Ymd-His'), bin2hex(random_bytes(3)));
        file_put_contents("$file.part", $message->toString());
        chmod("$file.part", 0600);
        rename("$file.part", $file);
        $all = glob("$this->folder/*.eml") ?: [];
        sort($all);
        array_map(unlink(...), array_slice($all, 0, max(0, count($all) - self::MOST)));
    }

    public function __toString(): string
    {
        return 'mailbox';
    }
}
