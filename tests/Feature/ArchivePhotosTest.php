<?php

namespace Tests\Feature;

use App\Exchange\Archive\Archive;
use App\Exchange\Errors\ExchangeError;
use App\Models\Animal;
use App\Models\Photo;
use App\Models\User;
use App\Photos\Darkroom;
use App\Photos\Jpeg;
use Illuminate\Foundation\Testing\RefreshDatabase;
use Illuminate\Http\UploadedFile;
use Illuminate\Support\Facades\Storage;
use PHPUnit\Framework\Attributes\DataProvider;
use RuntimeException;
use Tests\TestCase;

/** Photographs of an archive go through the same darkroom as uploads. */
class ArchivePhotosTest extends TestCase
{
    use RefreshDatabase;

    private const SECRET = 'N 52 22 E 4 54 of the keeper';

    /** @var array<string, mixed> */
    private array $document;

    private string $name;

    private string $clean;

    protected function setUp(): void
    {
        parent::setUp();
        Storage::fake('local');
        $animal = $this->made(['name' => 'Anchor']);
        $this->post("/animals/{$animal->id}/photos", ['photo' => UploadedFile::fake()->image('a.jpg', 90, 60), 'on' => '2026-01-01'])->assertSessionHasNoErrors();
        $path = (string) tempnam(sys_get_temp_dir(), 'destino-');
        $this->archive()->write($path);
        [$this->document, $photos] = Archive::open($path);
        unlink($path);
        $this->name = (string) array_key_first($photos);
        $this->clean = $photos[$this->name];
        Animal::query()->forceDelete();
        Storage::fake('local');
        $this->keeper()->racks()->delete();
    }

    private function archive(): Archive
    {
        return new Archive($this->keeper(), app(Darkroom::class));
    }

    /** @return array<string, array{string}> what is put before or behind the picture */
    public static function hidden(): array
    {
        $part = fn (int $marker): string => "\xFF".chr($marker).pack('n', 2 + strlen(self::SECRET)).self::SECRET;

        return [
            'position data' => [$part(0xE1)], 'notes of a program' => [$part(0xED)], 'a comment' => [$part(0xFE)], 'a second file behind it' => [''],
        ];
    }

    #[DataProvider('hidden')]
    public function test_what_is_hidden_in_a_photograph_is_not_kept(string $part): void
    {
        $photo = $part === '' ? $this->clean.self::SECRET : substr_replace($this->clean, $part, 2, 0);
        $this->assertStringContainsString(self::SECRET, $photo);
        $this->archive()->take($this->document, [$this->name => $photo]);
        $kept = (string) Storage::disk('local')->get(Photo::query()->sole()->file);
        $this->assertStringNotContainsString(self::SECRET, $kept);
        $this->assertSame([90, 60], array_slice((array) getimagesizefromstring($kept), 0, 2));
        $this->assertTrue(Jpeg::holdsOnlyThePicture($kept));
    }

    public function test_one_that_was_made_here_stays_as_it_is(): void
    {
        $this->archive()->take($this->document, [$this->name => $this->clean]);
        $this->assertSame($this->clean, Storage::disk('local')->get(Photo::query()->sole()->file));
    }

    public function test_one_that_is_too_large_is_made_smaller_and_its_size_is_that_of_the_file(): void
    {
        $file = UploadedFile::fake()->image('b.png', 2000, 1000); // which goes when nobody holds it
        $large = (string) file_get_contents((string) $file->getRealPath());
        $this->archive()->take($this->document, [$this->name => $large]);
        $photo = Photo::query()->sole();
        $this->assertSame([1600, 800], [$photo->width, $photo->height]);
        $this->assertSame([1600, 800], array_slice((array) getimagesizefromstring((string) Storage::disk('local')->get($photo->file)), 0, 2));
    }

    public function test_bytes_that_are_no_picture_are_refused_with_the_archive(): void
    {
        foreach (['<?php echo 1;', '', substr($this->clean, 0, 40)] as $bytes) {
            try {
                $this->archive()->take($this->document, [$this->name => $bytes]);
                $this->fail('it was taken in');
            } catch (ExchangeError $error) {
                $this->assertStringContainsString("The photograph {$this->name} cannot be used.", $error->getMessage());
            }
            $this->assertSame([0, []], [Animal::query()->count(), Storage::disk('local')->allFiles()]);
        }
    }

    public function test_an_archive_that_fails_in_the_middle_leaves_no_photograph(): void
    {
        Photo::created(fn () => throw new RuntimeException('a fault in the middle'));
        try {
            $this->archive()->take($this->document, [$this->name => $this->clean]);
            $this->fail('it was taken in');
        } catch (RuntimeException) {
            $this->assertSame([0, []], [User::query()->findOrFail($this->keeper()->id)->animals()->count(), Storage::disk('local')->allFiles()]);
        }
    }
}
