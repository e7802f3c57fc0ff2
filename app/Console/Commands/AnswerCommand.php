<?php

declare(strict_types=1);

namespace App\Console\Commands;

use Destino\DestinoError;
use Destino\Documents\DocumentError;
use Destino\Genome\UnknownSchool;
use Destino\Notation\NotationError;
use Destino\Pairing\Asking\QuestionError;
use Destino\Pairing\Asking\UnreadableQuestion;
use Illuminate\Console\Command;
use Symfony\Component\Console\Exception\ExceptionInterface;
use Symfony\Component\Console\Input\InputInterface;
use Symfony\Component\Console\Output\ConsoleOutputInterface;
use Symfony\Component\Console\Output\OutputInterface;

/**
 * A command that answers a question: exit 0 when answered, 2 when the input is wrong, with the reason on standard
 * error and, under --json, as a document on standard output.
 */
abstract class AnswerCommand extends Command
{
    private const WRONG_INPUT = 2;

    /** Arguments and options that name a file. */
    private const FILES = ['file', 'folder', 'out', 'sheet', 'svg'];

    abstract protected function answer(): void;

    public function run(InputInterface $input, OutputInterface $output): int
    {
        try {
            return parent::run($input, $output);
        } catch (ExceptionInterface $error) { // options that the command does not have
            $document = $input->hasParameterOption('--json') ? self::document($error->getMessage()) : null;
            self::report($output, $error->getMessage(), $document);

            return self::WRONG_INPUT;
        }
    }

    public function handle(): int
    {
        try {
            $this->checkText();
            $this->answer();
        } catch (DestinoError $error) {
            self::report(
                $this->output->getOutput(),
                implode(
                    "\n",
                    array_map(
                        fn (array $one): string => (
                            isset($one['field']) && count(self::all($error)) > 1 ? "{$one['field']}: " : ''
                        ).$one['message'],
                        self::all($error),
                    ),
                ),
                $this->option('json') ? self::document($error->getMessage(), $error) : null,
            );

            return self::WRONG_INPUT;
        }

        return self::SUCCESS;
    }

    /**
     * Whatever reads the arguments may take them for text; what names a file may be any bytes.
     *
     * @throws QuestionError that says which argument is none
     */
    private function checkText(): void
    {
        foreach ($this->arguments() + $this->options() as $name => $given) {
            $typed = $this->hasArgument($name) ? $name : "--{$name}";
            foreach (in_array($name, self::FILES, true) ? [] : (array) $given as $text) {
                if (is_string($text) && ! mb_check_encoding($text, 'UTF-8')) {
                    throw QuestionError::notText($typed, mb_scrub($text));
                }
            }
        }
    }

    /** @param array<string, mixed> $document */
    protected function printJson(array $document): void
    {
        $this->output->getOutput()->writeln(
            json_encode($document, JSON_PRETTY_PRINT | JSON_UNESCAPED_UNICODE | JSON_UNESCAPED_SLASHES | JSON_INVALID_UTF8_SUBSTITUTE | JSON_THROW_ON_ERROR),
            OutputInterface::OUTPUT_RAW,
        );
    }

    /** @throws QuestionError when the option is not a whole number in the range */
    protected function wholeNumber(string $option, int $from, int $to, callable $error): int
    {
        $typed = (string) $this->option($option);
        $number = filter_var($typed, FILTER_VALIDATE_INT, ['options' => ['min_range' => $from, 'max_range' => $to]]);

        return $number === false ? throw $error($typed) : $number;
    }

    /** @param array<string, mixed>|null $document */
    private static function report(OutputInterface $output, string $message, ?array $document): void
    {
        ($output instanceof ConsoleOutputInterface ? $output->getErrorOutput() : $output)->writeln($message, OutputInterface::OUTPUT_RAW);
        if ($document !== null) {
            $flags = JSON_PRETTY_PRINT | JSON_UNESCAPED_UNICODE | JSON_UNESCAPED_SLASHES | JSON_INVALID_UTF8_SUBSTITUTE;
            $output->writeln(json_encode($document, $flags | JSON_THROW_ON_ERROR), OutputInterface::OUTPUT_RAW);
        }
    }

    /** @return non-empty-list<array<string, mixed>> everything that is wrong, each with its place */
    private static function all(DestinoError $error): array
    {
        if ($error instanceof DocumentError) {
            return array_map(
                fn (string $fault): array => ['message' => $fault, 'piece' => null, 'position' => null, 'suggestions' => []],
                $error->faults,
            );
        }
        if (! $error instanceof UnreadableQuestion) {
            return [['message' => $error->getMessage()] + self::document($error->getMessage(), $error, false)['error']];
        }
        $all = [];
        foreach ($error->errors as $field => $errors) {
            foreach ($errors as $one) {
                $all[] = [
                    'message' => $one->getMessage(), 'piece' => $one->piece, 'position' => $one->position,
                    'suggestions' => $one->suggestions, 'field' => $field,
                ];
            }
        }

        return $all;
    }

    /** @return array{error: array<string, mixed>, errors?: list<array<string, mixed>>} */
    private static function document(string $message, ?DestinoError $error = null, bool $isWhole = true): array
    {
        $piece = $error instanceof UnreadableQuestion ? $error->first() : $error;
        $details = ['message' => $message, 'piece' => null, 'position' => null, 'suggestions' => []];
        if ($piece instanceof NotationError) {
            $details = ['piece' => $piece->piece, 'position' => $piece->position, 'suggestions' => $piece->suggestions] + $details;
        }
        if ($piece instanceof UnknownSchool || $piece instanceof QuestionError) {
            $details = ['piece' => $piece->piece, 'suggestions' => $piece->suggestions] + $details;
        }
        if ($error instanceof UnreadableQuestion || $error instanceof QuestionError) {
            $details['field'] = $error instanceof UnreadableQuestion ? $error->field() : $error->field;
        }

        return ['error' => ['message' => $details['message']] + $details] + (
            $isWhole ? ['errors' => $error === null ? [$details] : self::all($error)] : []
        );
    }
}
