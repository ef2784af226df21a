<?php

declare(strict_types=1);

// A store that speaks as much of S3 as photos need, for tests: objects are files of one folder, by their encoded keys.
// Run as the router of PHP's own server, with the folder in STORE. Whoever asks must have signed.

$folder = (string) getenv('STORE');
$path = rawurldecode((string) parse_url((string) $_SERVER['REQUEST_URI'], PHP_URL_PATH));
[, $bucket, $key] = explode('/', $path, 3) + [1 => '', 2 => ''];
$file = "$folder/".rawurlencode($key);
$answer = function (int $status, string $body = '', string $type = 'application/xml'): void {
    http_response_code($status);
    header("Content-Type: $type");
    header('Content-Length: '.strlen($body));
    echo $body;
};
if (! str_contains((string) ($_SERVER['HTTP_AUTHORIZATION'] ?? ''), 'Credential=made-up-key/') || $bucket !== 'made-up-bucket') {
    $answer(403, '<Error><Code>AccessDenied</Code></Error>');

    return;
}
switch ($_SERVER['REQUEST_METHOD']) {
    case 'PUT':
        file_put_contents($file, file_get_contents('php://input'));
        header('ETag: "'.md5_file($file).'"');
        $answer(200);
        break;
    case 'DELETE':
        @unlink($file);
        $answer(204);
        break;
    case 'GET':
    case 'HEAD':
        if ($key === '') {
            $prefix = (string) ($_GET['prefix'] ?? '');
            $delimiter = (string) ($_GET['delimiter'] ?? '');
            $listed = $folders = [];
            foreach (scandir($folder) ?: [] as $name) {
                $is = rawurldecode($name);
                $rest = substr($is, strlen($prefix));
                if ($name[0] === '.' || ! str_starts_with($is, $prefix)) {
                    continue;
                }
                $cut = $delimiter === '' ? false : strpos($rest, $delimiter);
                $cut === false ? $listed[] = '<Contents><Key>'.htmlspecialchars($is).'</Key><LastModified>2026-05-14T19:15:00.000Z</LastModified><Size>'.filesize("$folder/$name").'</Size></Contents>' : $folders[$prefix.substr($rest, 0, $cut + 1)] = true;
            }
            $answer(200, '<?xml version="1.0"?><ListBucketResult xmlns="http://s3.amazonaws.com/doc/2006-03-01/"><IsTruncated>false</IsTruncated>'.implode('', $listed).implode('', array_map(fn (string $f): string => "<CommonPrefixes><Prefix>$f</Prefix></CommonPrefixes>", array_keys($folders))).'</ListBucketResult>');
        } elseif (is_file($file)) {
            $answer(200, (string) file_get_contents($file), 'image/jpeg');
        } else {
            $answer(404, '<Error><Code>NoSuchKey</Code></Error>');
        }
        break;
    default:
        $answer(405);
}
