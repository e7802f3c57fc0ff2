<?php

namespace Tests\Support;

use CURLFile;
use RuntimeException;

/** A browser without pages: cookies, forms with their token, an answer's status and text. */
final class Visitor
{
    private string $cookies;

    public string $location = '';

    public function __construct(private readonly string $address)
    {
        $this->cookies = (string) tempnam(sys_get_temp_dir(), 'destino-visitor-');
    }

    public function __destruct()
    {
        @unlink($this->cookies);
    }

    /** @return array{int, string} status and text */
    public function get(string $path): array
    {
        return $this->ask($path, []);
    }

    /**
     * @param array<string, mixed> $fields
     * @return array{int, string}
     */
    public function send(string $method, string $path, array $fields = [], bool $isProgram = false): array
    {
        preg_match('/name="_token" value="([^"]+)"/', $this->get('/animals/create')[1], $token);

        return $this->ask($path, ['_token' => $token[1] ?? '', '_method' => $method] + $fields, $isProgram);
    }

    /**
     * @param array<string, mixed> $fields
     * @return array{int, string}
     */
    private function ask(string $path, array $fields, bool $isProgram = false): array
    {
        $curl = curl_init((str_starts_with($path, 'http') ? '' : $this->address).$path);
        $flat = array_filter($fields, fn (mixed $one): bool => $one instanceof CURLFile) === [] ? http_build_query($fields) : $fields;
        curl_setopt_array($curl, [
            CURLOPT_RETURNTRANSFER => true, CURLOPT_COOKIEJAR => $this->cookies, CURLOPT_COOKIEFILE => $this->cookies, CURLOPT_TIMEOUT => 60,
            CURLOPT_HEADERFUNCTION => function ($curl, string $line): int {
                $this->location = preg_match('/^location: (\S+)/i', $line, $found) === 1 ? $found[1] : $this->location;

                return strlen($line);
            },
        ] + ($fields === [] ? [] : [CURLOPT_POSTFIELDS => $flat]) + ($isProgram ? [CURLOPT_HTTPHEADER => ['Accept: application/json']] : []));
        $text = curl_exec($curl);
        $status = curl_getinfo($curl, CURLINFO_RESPONSE_CODE);
        curl_close($curl);

        return is_string($text) ? [$status, $text] : throw new RuntimeException("No answer from {$path}.");
    }
}
