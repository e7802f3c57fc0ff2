<?php

namespace Tests\Feature;

use App\Clutch\PhotosAtAge;
use App\Exchange\Archive\Archive;
use App\Models\Animal;
use App\Models\Clutch;
use App\Models\Enums\Precision;
use App\Models\Photo;
use App\Photos\Darkroom;
use App\Photos\PhotoPart;
use Illuminate\Foundation\Testing\RefreshDatabase;
use Illuminate\Http\UploadedFile;
use Illuminate\Support\Facades\Storage;
use Illuminate\Support\Str;
use Tests\TestCase;
use ZipArchive;

/** One photograph for a whole clutch, and photographs of siblings at one age. */
class BoxPhotosTest extends TestCase
{
    use RefreshDatabase;

    private Clutch $clutch;

    /** @var list<Animal> */
    private array $young = [];

    protected function setUp(): void
    {
        parent::setUp();
        Storage::fake('local');
        $dam = $this->made(['name' => 'Marram', 'hatched_on' => '2020-07-01']);
        $this->clutch = $this->keeper()->clutches()->create(['dam_id' => $dam->id, 'hatched_on' => '2026-07-01', 'hatched' => 3]);
        foreach (['One', 'Two', 'Three'] as $name) {
            $this->young[] = $this->made(['name' => $name, 'sex' => null, 'clutch_id' => $this->clutch->id, 'dam_id' => $dam->id, 'hatched_on' => '2026-07-01']);
        }
    }

    /**
     * @param array<int, array{float, float}> $heads by place among the young
     * @param array<string, mixed> $more
     * @return array<string, mixed>
     */
    private function form(array $heads, array $more = []): array
    {
        $places = [];
        foreach ($heads as $i => [$across, $down]) {
            $places[$this->young[$i]->id] = ['across' => (string) $across, 'down' => (string) $down];
        }

        return $more + [
            'photo' => UploadedFile::fake()->image('box.jpg', 800, 400), 'on' => '2026-07-03', 'heads' => $places, 'form_token' => (string) Str::uuid(),
        ];
    }

    private function box(): string
    {
        return "/clutches/{$this->clutch->id}/box";
    }

    /** @return array{int, int} */
    private function sizeOf(string $address): array
    {
        return array_slice((array) getimagesizefromstring((string) $this->get($address)->assertOk()->getContent()), 0, 2);
    }

    public function test_each_hatchling_gets_the_part_around_its_head_and_the_whole_stays(): void
    {
        $this->get($this->box())->assertOk()->assertSee('tap the head of each hatchling');
        $form = $this->form([0 => [20, 50], 1 => [80, 50]]);
        $this->post($this->box(), $form)->assertRedirect(route('bench', $this->clutch))->assertSessionHas('said', 'The photograph is saved with 2 hatchlings.');
        $this->post($this->box(), $form)->assertSessionHasNoErrors();
        $this->assertSame(2, Photo::query()->count(), 'a double click keeps it once');
        $first = $this->young[0]->photos()->sole();
        $this->assertSame([200, 500, 450], [$first->across, $first->down, $first->side]);
        $this->assertSame($first->file, $this->young[1]->photos()->sole()->file);
        $this->assertSame([180, 180], $this->sizeOf("/photos/{$first->id}"));
        $this->assertSame([800, 400], $this->sizeOf("/photos/{$first->id}?whole=1"));
        $this->get("/clutches/{$this->clutch->id}/bench")->assertOk()->assertSee('Photographs at 2 days')->assertSee('No photograph at this age');
        $this->get("/animals/{$this->young[0]->id}")->assertOk()->assertSee('width="180" height="180"', false);
    }

    public function test_it_is_gone_on_with_and_a_place_is_changed(): void
    {
        $this->post($this->box(), $this->form([0 => [20, 50]]));
        $photo = $this->young[0]->photos()->sole();
        $this->get("{$this->box()}?of={$photo->id}")->assertOk()->assertSee('value="20"', false);
        $this->post($this->box(), ['of' => $photo->id] + $this->form([0 => [25, 40], 2 => [50, 50]], ['photo' => null]))->assertSessionHasNoErrors();
        $moved = $this->young[0]->photos()->sole();
        $this->assertSame([250, 400], [$moved->across, $moved->down]);
        $this->assertSame([$photo->file, $photo->file], [$moved->file, $this->young[2]->photos()->sole()->file]);
        $this->assertSame('2026-07-03', $this->young[2]->photos()->sole()->on->format('Y-m-d'));
        $this->assertSoftDeleted($photo);
    }

    public function test_what_is_wrong_is_said_and_nothing_is_kept(): void
    {
        $other = $this->made(['name' => 'Elsewhere']);
        $wrong = [
            'photo' => $this->form([0 => [20, 50]], ['photo' => UploadedFile::fake()->create('notes.txt', 3, 'text/plain')]),
            'heads' => $this->form([], ['heads' => [$other->id => ['across' => '3', 'down' => '4']]]),
            "heads.{$this->young[0]->id}.across" => $this->form([0 => [120, 50]]), 'on' => $this->form([0 => [20, 50]], ['on' => '2999-01-01']),
        ];
        foreach ($wrong as $field => $form) {
            $this->post($this->box(), $form)->assertSessionHasErrors($field);
        }
        $this->post($this->box(), $this->form([]))->assertSessionHasErrors('heads');
        $this->post($this->box(), ['of' => 4711] + $this->form([0 => [1, 1]], ['photo' => null]))->assertSessionHasErrors('photo');
        $this->assertSame(0, Photo::query()->count());
    }

    public function test_an_archive_holds_the_picture_once_and_brings_every_part_back(): void
    {
        $this->post($this->box(), $this->form([0 => [20, 50], 1 => [80, 50], 2 => [50, 90]]));
        $before = Photo::query()->orderBy('id')->get(['across', 'down', 'side'])->toArray();
        $path = (string) tempnam(sys_get_temp_dir(), 'destino-');
        (new Archive($this->keeper(), app(Darkroom::class)))->write($path);
        $zip = new ZipArchive;
        $zip->open($path);
        $this->assertSame(2, $zip->numFiles, 'the records and one picture');
        $zip->close();
        [$document, $photos] = Archive::open($path);
        unlink($path);
        Clutch::query()->forceDelete();
        Animal::query()->forceDelete();
        (new Archive($this->keeper(), app(Darkroom::class)))->take($document, $photos);
        $this->assertSame($before, Photo::query()->orderBy('id')->get(['across', 'down', 'side'])->toArray());
        $this->assertCount(1, Photo::query()->pluck('file')->unique());
    }

    public function test_a_part_that_lies_outside_shows_the_whole(): void
    {
        $this->post($this->box(), $this->form([0 => [20, 50]]));
        $photo = $this->young[0]->photos()->sole();
        $photo->forceFill(['across' => 5000])->save();
        $this->assertSame([800, 400], $this->sizeOf("/photos/{$photo->id}"));
        $this->assertNull(PhotoPart::read(500, null, 200));
    }

    public function test_a_part_lies_within_the_picture_and_is_the_smaller_the_nearer_the_next_head_is(): void
    {
        mt_srand(7);
        for ($i = 0; $i < 300; $i++) {
            [$width, $height] = [mt_rand(1, 1600), mt_rand(1, 1600)];
            $head = [mt_rand(0, 1000), mt_rand(0, 1000)];
            $near = PhotoPart::around($head, [[min(1000, $head[0] + 40), $head[1]]], $width, $height);
            $this->assertLessThanOrEqual(PhotoPart::around($head, [], $width, $height)->side, $near->side);
            $part = $near->within($width, $height);
            $this->assertGreaterThanOrEqual(0, min($part['left'], $part['top']));
            $this->assertLessThanOrEqual($width, $part['left'] + $part['side']);
            $this->assertLessThanOrEqual($height, $part['top'] + $part['side']);
        }
    }

    public function test_photographs_stand_beside_each_other_at_one_age(): void
    {
        $take = fn (Animal $animal, string $on) => $animal->photos()->create(['on' => $on, 'file' => 'photos/x.jpg', 'width' => 9, 'height' => 9]);
        $take($this->young[0], '2026-07-03');
        $take($this->young[0], '2026-09-20');
        $take($this->young[1], '2026-07-06');
        $this->assertSame(2, (new PhotosAtAge($this->clutch->fresh()))->days);
        $late = $take($this->young[1], '2026-09-15');
        $take($this->young[2], '2026-09-18');
        $take($this->clutch->dam, '2020-09-15');
        $photos = new PhotosAtAge($this->clutch->fresh());
        $this->assertSame([2, 76], $photos->ages);
        $this->assertSame(76, $photos->days, 'the age at which most were photographed');
        $all = $photos->all();
        $this->assertSame(['Marram', 'One', 'Two', 'Three'], array_map(fn (array $one): string => $one['animal']->name, $all));
        $this->assertSame(['dam', '', '', ''], array_column($all, 'role'));
        $this->assertTrue($late->is($all[2]['photo']));
        $this->assertSame(['Marram', 'Three'], [
            $all[0]['animal']->name, (new PhotosAtAge($this->clutch->fresh(), 2))->all()[2]['animal']->name,
        ], 'the dam had none at two days');
        $this->clutch->dam->update(['hatched_precision' => Precision::Year]);
        $this->assertCount(3, (new PhotosAtAge($this->clutch->fresh()))->all(), 'of a dam whose day is not known no age is told');
        $this->assertSame(['1 day', '59 days', '2 months', '2 years'], array_map(PhotosAtAge::words(...), [1, 59, 60, 730]));
    }
}
