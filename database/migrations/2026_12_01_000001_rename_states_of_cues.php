<?php

use Illuminate\Database\Migrations\Migration;
use Illuminate\Support\Facades\DB;

/** States of cues got words that do not need a picture to be understood; what was recorded keeps its meaning. */
return new class extends Migration {
    /** Cue, former name and new name. */
    private const RENAMED = [
        ['head-stamp', 'light front patch', 'pale patch at the front'],
        ['head-stamp', 'odd shape', 'pale figure inside'],
        ['eye-band', 'drops in front of or under the eye', 'turns down by the eye'],
        ['back-line', 'none or chance pieces', 'none, or chance pieces'],
        ['back-line', 'full dark stripe', 'none, or chance pieces'],
        ['back-line', 'dashes (dotted line)', 'dashes'],
        ['back-line', 'paired dark lines', 'two dark lines'],
        ['back-band', 'black-backed', 'whole back dark'],
        ['back-shapes', 'bow-tie shapes', 'pinched in the middle'],
        ['back-shapes', 'chained islands', 'light patches linked in a row'],
        ['blotch-shape', 'rounded keyhole', 'rounded'],
        ['blotch-shape', 'very regular, as from one stencil', 'all alike'],
        ['blotch-shape', 'fused into a stripe', 'run into one band'],
        ['blotch-shape', 'floating free of the belly', 'free of the belly'],
        ['blotch-shape', 'opened or stretched', 'wide open'],
        ['blotch-shape', 'grown so large that only tear-shaped gaps remain', 'plain flank with pale drops'],
        ['flames', 'full height', 'as high as the blotches'],
        ['edge-style', 'jagged, scale by scale', 'ragged'],
        ['edge-style', 'scattered flecks', 'with loose flecks'],
        ['edge-style', 'pale outline', 'with a pale rim'],
        ['belly-edge', 'light checkering', 'light checks'],
        ['belly-edge', 'strong checkering', 'strong checks'],
        ['belly-edge', 'doubled, high checkering', 'two rows of checks'],
        ['belly-edge', 'bubbled white notches', 'rounded white notches'],
        ['belly-centre', 'pure white, plain', 'pure white'],
        ['white-area', 'saddled body', 'white bands, colour between'],
        ['saddle-edge', 'jagged, dripping', 'ragged'],
        ['tail-shapes', 'bell shapes', 'pinched in the middle'],
    ];

    public function up(): void
    {
        foreach (self::RENAMED as [$cue, $was, $is]) {
            DB::table('sightings')->where('cue', $cue)->where('state', $was)->update(['state' => $is]);
        }
    }

    /** The former names are read still: nothing needs to be put back. */
    public function down(): void {}
};
