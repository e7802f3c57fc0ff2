<?php

declare(strict_types=1);

namespace App\People;

use Closure;
use Illuminate\Contracts\Validation\DataAwareRule;
use Illuminate\Contracts\Validation\ValidationRule;

/**
 * A password that is not guessed first: long enough, not among the commonest (resources/passwords), not a few characters over and
 * over, and not the address that it belongs to. Which kinds of characters it has is nobody's business.
 */
final class SafePassword implements DataAwareRule, ValidationRule
{
    public const LEAST = 10;

    /** Fewer different characters than this are one pattern over and over. */
    private const DIFFERENT = 5;

    /** @var array<string, mixed> */
    private array $data = [];

    /** @param string $email of the person, where the form does not name it */
    public function __construct(private readonly string $email = '') {}

    /** @param array<string, mixed> $data */
    public function setData(array $data): static
    {
        $this->data = $data;

        return $this;
    }

    public function validate(string $attribute, mixed $value, Closure $fail): void
    {
        $email = is_string($this->data['email'] ?? null) ? $this->data['email'] : $this->email;
        $fault = is_string($value) ? self::fault($value, $email) : null;
        $fault === null ?: $fail($fault);
    }

    /** What is wrong with it; null where nothing is. */
    public static function fault(string $password, string $email = ''): ?string
    {
        $lower = mb_strtolower(trim($password));
        $address = mb_strtolower(trim($email));

        return match (true) {
            mb_strlen($password) < self::LEAST => 'Choose at least '.self::LEAST.' characters.',
            count(array_unique(mb_str_split($lower))) < self::DIFFERENT => 'Choose a password that does not repeat a few characters.',
            $address !== '' && ($lower === $address || ($lower === strtok($address, '@'))) => 'Choose a password that is not your address.',
            self::isCommon($lower) => 'This is one of the most common passwords. Choose another, for example a few words.',
            default => null,
        };
    }

    private static function isCommon(string $password): bool
    {
        $list = @file(resource_path('passwords/commonest.txt'), FILE_IGNORE_NEW_LINES | FILE_SKIP_EMPTY_LINES) ?: [];

        return in_array($password, $list, true);
    }
}
