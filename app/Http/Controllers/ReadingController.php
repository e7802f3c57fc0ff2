<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Animals\AnimalSearch;
use App\Catalogue\CatalogueShelf;
use App\Drawing\GenotypeBeads;
use App\View\Components\ReadingLines\ReadingLines;
use Destino\Genome\Sex;
use Destino\Genome\UnknownSchool;
use Destino\Notation\NotationError;
use Destino\Notation\Printer;
use Destino\Notation\Reading;
use Destino\Notation\TargetReader;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Support\Facades\Blade;

/** Tells a form what was understood of a text while it is typed. */
class ReadingController extends Controller
{
    public function __invoke(Request $request, CatalogueShelf $shelf): JsonResponse
    {
        $this->authorize('read');
        $text = is_string($request->query('text')) ? (string) $request->query('text') : '';
        // The page that asks may have chosen its schools; what is read must be what is then computed.
        $schools = array_filter((array) $request->query('school', []), is_string(...));
        try {
            $catalogue = $shelf->catalogue($schools);
        } catch (UnknownSchool) {
            [$schools, $catalogue] = [[], $shelf->catalogue()]; // the page itself tells of the wrong choice
        }
        if ($request->query('as') === 'search') {
            $text = AnimalSearch::asideFromGenes($text)[0];
        }
        if (in_array($request->query('as'), ['target', 'choices', 'search'], true)) {
            $reader = $request->query('as') === 'target' ? $shelf->targets($schools) : $shelf->targetsWithChoices($schools);

            return response()->json($this->target($text, $reader));
        }
        $reading = $shelf->reader($schools)->read($text, Sex::tryFrom((string) $request->query('as')));

        return response()->json([
            'canonical' => $reading->belief === null ? null : (new Printer($catalogue))->belief($reading->belief),
            'html' => Blade::renderComponent(new ReadingLines(
                $reading, $reading->belief === null ? [] : GenotypeBeads::of($reading->belief, $catalogue),
            )),
            'errors' => array_map($this->error(...), $reading->errors),
        ]);
    }

    /** @return array<string, mixed> */
    private function target(string $text, TargetReader $reader): array
    {
        [$target, $errors] = trim($text) === '' ? [null, []] : $reader->readAll($text);
        $notes = $target->notes ?? [];

        return [
            'canonical' => null,
            'html' => Blade::renderComponent(new ReadingLines(new Reading($text, null, [], $notes, $errors))),
            'errors' => array_map($this->error(...), $errors),
        ];
    }

    /** @return array{message: string, piece: string, position: int, suggestions: list<string>} */
    private function error(NotationError $error): array
    {
        return [
            'message' => $error->getMessage(), 'piece' => $error->piece, 'position' => $error->position,
            'suggestions' => $error->suggestions,
        ];
    }
}
