<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Http\Middleware\TwoAtOnce;
use Illuminate\Http\Request;
use Illuminate\Http\Response;
use Illuminate\Support\Facades\Cache;
use Tests\TestCase;

final class TwoAtOnceTest extends TestCase
{
    public function test_a_third_waits_a_little_and_is_answered_when_one_ends(): void
    {
        // Nobody is signed in: told by the address, in which a private link has its own.
        $who = hash('xxh3', (new Request)->path());
        // As if two were at work: one of them ends by itself after a second.
        self::assertTrue(Cache::lock("calculates:$who:0", 1)->get());
        self::assertTrue(Cache::lock("calculates:$who:1", 30)->get());
        $answer = (new TwoAtOnce)->handle(new Request, fn (): Response => new Response('done'));
        self::assertSame(200, $answer->getStatusCode());
        // Its slot and its place to wait are free again.
        self::assertTrue(Cache::lock("calculates:$who:0", 30)->get());
        self::assertTrue(Cache::lock("waits:$who:0", 30)->get());
        // With both places to wait taken, the next is told at once.
        self::assertTrue(Cache::lock("waits:$who:1", 30)->get());
        $answer = (new TwoAtOnce)->handle(new Request, fn (): Response => new Response('done'));
        self::assertSame(429, $answer->getStatusCode());
        self::assertSame('2', $answer->headers->get('Retry-After'));
        self::assertStringContainsString('still at work', (string) $answer->getContent());
    }
}
