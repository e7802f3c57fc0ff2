<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Catalogue\CatalogueShelf;
use App\Collection\Opened;
use App\Looks\Comparison;
use App\Looks\ConfirmedReadings;
use App\Looks\Confusions;
use App\Looks\CountsFile;
use App\Looks\DesignPage;
use App\Looks\Gallery;
use App\Looks\LoosePrint;
use App\Looks\OwnEyes;
use App\Looks\Prints;
use App\Looks\StatePictures;
use App\Prove\DisputedFacts;
use Illuminate\Contracts\View\View;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Http\Response;

/** To see what genes do: compare looks, design one, and know which will be mixed up. */
class LooksController extends Controller
{
    public function __construct(private readonly Opened $opened, private readonly CatalogueShelf $shelf) {}

    public function compare(Request $request): Response
    {
        $this->authorize('read');
        $gallery = new Gallery($this->shelf);
        $comparison = new Comparison($request, $gallery);

        return response()->view(
            'looks.compare', ['comparison' => $comparison, 'prints' => new Prints($gallery, kept: $this->opened->kept), 'gallery' => $gallery],
            $comparison->errors === [] ? 200 : 422,
        );
    }

    public function design(Request $request): Response
    {
        $this->authorize('read');
        $gallery = new Gallery($this->shelf);
        $page = new DesignPage($request, $gallery, $this->opened);

        return response()->view('looks.design', ['page' => $page], $page->error === null ? 200 : 422);
    }

    /** One small drawing. Its address says all of it, so it may be kept for ever. */
    public function drawing(Request $request): Response
    {
        $this->authorize('read');
        $gallery = new Gallery($this->shelf);
        $print = LoosePrint::told(
            $request->string('amounts')->toString(), $request->string('seed')->toString(), $request->string('size')->toString(),
            $gallery->facts(),
        );
        abort_if($print === null, 404);

        return response((new Prints($gallery, kept: $this->opened->kept))->file($print), 200, [
            'Content-Type' => 'image/svg+xml', 'Cache-Control' => 'private, max-age=31536000, immutable',
        ]);
    }

    /** A state of a cue as it looks, on a look that is named or on a normal. Its address says all of it, so it may be kept for ever. */
    public function state(Request $request, string $cue, int $state): Response
    {
        $this->authorize('read');
        $amounts = $request->string('look')->toString();
        $seed = $request->string('seed', '0')->toString();
        $own = LoosePrint::told($amounts, $seed, 'card', $this->shelf->looks());
        abort_if($own === null, 404);
        $pictures = new StatePictures($this->shelf);
        if ($request->has('seed')) { // of one animal: whoever asked keeps it, here it would only fill the disk
            $svg = $pictures->draw($cue, $state, $own->look);
        } else {
            $name = "state {$cue} {$state}";
            $kept = $this->opened->kept->get($name);
            $svg = is_string($kept) ? $kept : $pictures->draw($cue, $state);
            $svg === null || is_string($kept) ?: $this->opened->kept->put($name, $svg);
        }
        abort_if($svg === null, 404);

        return response($svg, 200, [
            'Content-Type' => 'image/svg+xml', 'Cache-Control' => 'private, max-age=31536000, immutable',
        ]);
    }

    public function confusions(): View
    {
        $this->authorize('read');
        $gallery = new Gallery($this->shelf);

        return view('looks.confusions', [
            'page' => new Confusions($gallery, $this->opened), 'prints' => new Prints($gallery, isFine: true),
            'pictures' => new StatePictures($this->shelf), 'mark' => (string) $this->opened->kept->mark(),
            'eyes' => (new OwnEyes($this->opened))->lines(),
            'friends' => $this->opened->keeper()->geneChanges()->where('kind', 'counts')->orderBy('id')->get(),
        ]);
    }

    /** Confirmed readings and crosses of the keeper, to be given to a friend. */
    public function counts(): JsonResponse
    {
        $this->authorize('read');

        return response()->json(
            CountsFile::from(
                (new ConfirmedReadings($this->opened))->all(), (new DisputedFacts($this->opened))->own(),
            )->document(), 200,
            ['Content-Disposition' => 'attachment; filename="cue-counts.json"'], JSON_PRETTY_PRINT | JSON_UNESCAPED_UNICODE,
        );
    }
}
