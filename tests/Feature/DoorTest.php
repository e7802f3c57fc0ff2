<?php

namespace Tests\Feature;

use App\Models\User;
use Database\Seeders\DemoSeeder;
use Illuminate\Foundation\Testing\RefreshDatabase;
use Illuminate\Support\Facades\Hash;
use Illuminate\Support\Facades\Session;
use PHPUnit\Framework\Attributes\DataProvider;
use Tests\TestCase;

class DoorTest extends TestCase
{
    use RefreshDatabase;

    private const FIRST = [
        'name' => 'Robin', 'email' => 'robin@example.localhost', 'password' => 'four quiet snakes',
        'password_confirmation' => 'four quiet snakes',
    ];

    protected function startsSignedIn(): bool
    {
        return false;
    }

    public function test_the_first_start_makes_the_owner_once(): void
    {
        $this->get('/animals')->assertRedirect('/begin');
        $this->get('/begin')->assertSee('Create your account');
        $this->from('/begin')
            ->followingRedirects()
            ->post('/begin', ['password' => 'short', 'password_confirmation' => 'short'] + self::FIRST)
            ->assertSee('Choose at least 10 characters.')
            ->assertSee('Robin')
            ->assertDontSee('"short"', false);
        $this->post('/begin', self::FIRST)->assertRedirect('/animals');
        $owner = User::query()->sole();
        $this->assertAuthenticatedAs($owner);
        $this->assertTrue(Hash::check('four quiet snakes', $owner->password));
        $this->post('/begin', ['email' => 'second@example.localhost'] + self::FIRST)->assertForbidden();
        $this->assertSame(1, User::query()->count());
    }

    public function test_the_first_account_is_made_at_this_machine_only(): void
    {
        $this->withServerVariables(['REMOTE_ADDR' => '192.0.2.7', 'HTTP_X_FORWARDED_FOR' => '127.0.0.1'])
            ->get('/begin')
            ->assertSee('can only be made at the machine');
        $this->withServerVariables(['REMOTE_ADDR' => '192.0.2.7'])->post('/begin', self::FIRST)->assertForbidden();
        $this->withServerVariables(['REMOTE_ADDR' => '127.0.0.1'])->post('http://elsewhere.example/begin', self::FIRST)->assertStatus(400);
        $this->assertSame(0, User::query()->count());
    }

    public function test_an_owner_of_an_early_version_is_claimed_with_the_animals(): void
    {
        $early = User::factory()->create(['email' => 'keeper@destino.localhost']);
        $this->get('/')->assertRedirect('/begin');
        $this->post('/begin', self::FIRST);
        $this->assertSame([$early->id, 'robin@example.localhost'], [User::query()->sole()->id, User::query()->sole()->email]);
    }

    public function test_signing_in_and_out(): void
    {
        $person = User::factory()->create(['email' => 'robin@example.localhost', 'password' => 'four quiet snakes']);
        $this->get('/clutches')->assertRedirect('/sign-in');
        $this->from('/sign-in')
            ->followingRedirects()
            ->post('/sign-in', ['email' => 'robin@example.localhost', 'password' => 'wrong'])
            ->assertSee('Wrong email address or password')
            ->assertSee('robin@example.localhost');
        $this->post('/sign-in', ['email' => 'robin@example.localhost', 'password' => 'four quiet snakes'])->assertRedirect('/clutches');
        $this->assertAuthenticatedAs($person);
        $this->post('/sign-out')->assertRedirect('/sign-in');
        $this->assertGuest();
    }

    public function test_an_address_that_nobody_has_takes_as_much_work_as_a_wrong_password(): void
    {
        User::factory()->create(['email' => 'robin@example.localhost', 'password' => 'four quiet snakes']);
        $costs = [];
        Hash::shouldReceive('check')->twice()->andReturnUsing(function (string $password, string $hash) use (&$costs): bool {
            $costs[] = password_get_info($hash);

            return false;
        });
        foreach (['robin@example.localhost', 'nobody@example.localhost'] as $email) {
            $this->post('/sign-in', ['email' => $email, 'password' => 'wrong'])->assertSessionHasErrors('email');
        }
        $this->assertSame($costs[0], $costs[1]);
        $this->assertSame('bcrypt', $costs[0]['algoName']);
    }

    public function test_several_values_where_one_is_meant_are_refused_before_anybody_is_signed_in(): void
    {
        User::factory()->create();
        foreach (['email', 'password', 'remember'] as $field) {
            $this->post('/sign-in', [$field => ['a' => 'b']] + ['email' => 'robin@example.localhost', 'password' => 'wrong'])->assertStatus(400);
        }
    }

    /** @return array<string, array{string, string|null}> password and what is said of it */
    public static function passwords(): array
    {
        return [
            'short' => ['snakes', 'at least 10 characters'], 'one character' => ['aaaaaaaaaaaa', 'does not repeat'],
            'a pattern' => ['abababababab', 'does not repeat'], 'in a row' => ['1234567890', 'most common'],
            'capitals make no difference' => ['PassWord123', 'most common'], 'the address' => ['robin@example.localhost', 'not your address'],
            'its name' => ['robin.of.the.boathouse', null], 'words' => ['four quiet snakes', null], 'other letters' => ['змеи спят тихо', null],
        ];
    }

    #[DataProvider('passwords')]
    public function test_what_is_guessed_first_is_no_password(string $password, ?string $says): void
    {
        $form = ['password' => $password, 'password_confirmation' => $password];
        $answer = $this->post('/begin', $form + self::FIRST);
        $says === null ? $answer->assertSessionHasNoErrors() : $answer->assertSessionHasErrors('password');
        if ($says !== null) {
            $this->assertStringContainsString($says, (string) $answer->getSession()->get('errors')->first('password'));
            $owner = User::factory()->create(['email' => 'robin@example.localhost', 'password' => 'four quiet snakes']);
            $this->actingAs($owner)->put('/account/password', ['current_password' => 'four quiet snakes'] + $form)->assertSessionHasErrors('password');
            $this->post('/people', ['name' => 'Sam', 'email' => 'robin@example.localhost', 'role' => 'helper'] + $form)->assertSessionHasErrors('password');
        }
    }

    public function test_too_many_tries_are_turned_away(): void
    {
        User::factory()->create(['email' => 'robin@example.localhost', 'password' => 'four quiet snakes']);
        for ($try = 0; $try < 5; $try++) {
            $this->post('/sign-in', ['email' => 'robin@example.localhost', 'password' => "guess {$try}"])->assertRedirect();
        }
        $this->post('/sign-in', ['email' => 'robin@example.localhost', 'password' => 'four quiet snakes'])->assertTooManyRequests();
        $this->assertGuest();
    }

    public function test_a_club_behind_one_address_signs_in_and_guessing_from_it_is_turned_away(): void
    {
        foreach (range(1, 36) as $number) {
            User::factory()->create(['email' => "keeper{$number}@example.localhost", 'password' => 'four quiet snakes']);
            $this->post('/sign-in', ['email' => "keeper{$number}@example.localhost", 'password' => 'four quiet snakes'])->assertRedirect();
            $this->assertAuthenticated();
            $this->post('/sign-out')->assertRedirect('/sign-in');
        }
        for ($try = 0; $try < 30; $try++) { // one address tries many accounts
            $this->post('/sign-in', ['email' => "other{$try}@example.localhost", 'password' => 'a guess'])->assertRedirect();
        }
        $this->post('/sign-in', ['email' => 'keeper1@example.localhost', 'password' => 'four quiet snakes'])->assertTooManyRequests();
        $this->assertGuest();
    }

    public function test_a_changed_password_and_a_removed_person(): void
    {
        $owner = User::factory()->create(['password' => 'four quiet snakes']);
        $this->actingAs($owner)->post(
            '/people',
            ['name' => 'Sam', 'email' => 'sam@example.localhost', 'password' => 'feeding on friday', 'role' => 'helper'],
        )->assertSessionHasNoErrors();
        $sam = $owner->people()->sole();
        $this->post(
            '/people',
            ['name' => 'Eve', 'email' => 'eve@example.localhost', 'password' => 'feeding on friday', 'role' => 'owner'],
        )->assertSessionHasErrors('role');
        $this->put(
            '/account/password',
            ['current_password' => 'wrong', 'password' => 'five quiet snakes', 'password_confirmation' => 'five quiet snakes'],
        )->assertSessionHasErrors('current_password');
        $this->put(
            '/account/password',
            ['current_password' => 'four quiet snakes', 'password' => 'five quiet snakes', 'password_confirmation' => 'five quiet snakes'],
        )->assertSessionHasNoErrors();
        $this->assertTrue(Hash::check('five quiet snakes', $owner->refresh()->password));
        $this->delete("/people/{$sam->id}")->assertRedirect('/people');
        $this->assertSame(0, $owner->people()->count());
    }

    public function test_a_changed_password_ends_tokens_and_guessing_it_is_slowed(): void
    {
        $owner = User::factory()->create(['password' => 'four quiet snakes']);
        $owner->createToken('scale', ['read', 'log']);
        $new = ['password' => 'five quiet snakes', 'password_confirmation' => 'five quiet snakes'];
        $this->actingAs($owner)->put('/account/password', ['current_password' => 'four quiet snakes'] + $new)->assertSessionHasNoErrors();
        $this->assertSame(0, $owner->tokens()->count());
        for ($try = 0; $try < 4; $try++) {
            $this->put('/account/password', ['current_password' => "guess {$try}"] + $new)->assertSessionHasErrors('current_password');
        }
        $this->put('/account/password', ['current_password' => 'five quiet snakes'] + $new)->assertTooManyRequests();
    }

    public function test_every_answer_has_the_headers_faults_among_them(): void
    {
        $addresses = [
            '/sign-in' => 302, '/nothing/here' => 404, '/api/v1/animals' => 401, '/api/v1/nothing' => 404,
            '/api/v1/calendar/guess.ics' => 404,
        ];
        foreach ($addresses as $address => $status) {
            $answer = $this->getJson($address)->assertHeader('X-Content-Type-Options', 'nosniff')->assertHeader('X-Frame-Options', 'DENY')
                ->assertHeader('Referrer-Policy', 'same-origin')->assertHeaderMissing('X-Powered-By')
                    ->assertHeaderMissing('Strict-Transport-Security');
            $this->assertStringContainsString("default-src 'self'", (string) $answer->headers->get('Content-Security-Policy'));
            $answer->assertStatus($status);
        }
        $this->get('https://localhost/sign-in')->assertHeader('Strict-Transport-Security');
    }

    /** @return iterable<string, array{string, bool}> */
    public static function names(): iterable
    {
        yield 'an address' => ['192.168.1.20', true];
        yield 'a long address' => ['[fe80::1]', true];
        yield 'a short name' => ['snakeroom', true];
        yield 'a name at home' => ['snakeroom.local', true];
        yield 'a name that is listed' => ['club.example', true];
        yield 'a name of somebody else' => ['elsewhere.example', false];
        yield 'one that only ends like it' => ['notlocal.example', false];
    }

    #[DataProvider('names')]
    public function test_it_answers_under_its_own_names_only(string $name, bool $isOwn): void
    {
        config(['destino.hosts' => ['club.example']]);
        $this->actingAs(User::factory()->create());
        $answer = $this->get("http://{$name}/animals")->assertStatus($isOwn ? 200 : 400);
        $isOwn ?: $answer->assertDontSee($name);
    }

    public function test_a_session_is_whole_at_every_moment(): void
    {
        $folder = sys_get_temp_dir().'/destino-sessions-'.bin2hex(random_bytes(4));
        mkdir($folder);
        config(['session.files' => $folder]);
        $sessions = Session::driver('file')->getHandler();
        $this->assertTrue($sessions->write('one', 'as it was'));
        $file = fopen("{$folder}/one", 'r');
        $this->assertTrue($sessions->write('one', str_repeat('as it is now ', 9_000)));
        $this->assertSame('as it was', fread($file, 100), 'the old one was not cut while the new one was written');
        $this->assertSame(str_repeat('as it is now ', 9_000), $sessions->read('one'));
        $this->assertSame(['one'], array_values(array_diff(scandir($folder), ['.', '..'])), 'no half is left');
        fclose($file);
        $sessions->destroy('one');
        rmdir($folder);
    }

    public function test_a_refused_form_follows_nobody_to_another_site(): void
    {
        $this->actingAs(User::factory()->create());
        $at = fn (string $from) => $this->put('/account/password', [], ['Referer' => $from]);
        $at('http://elsewhere.example/trap')->assertRedirect('/');
        $at('http://'.parse_url(url('/'), PHP_URL_HOST).':9/trap')->assertRedirect('/');
        $at(url('/account'))->assertRedirect('/account');
    }

    public function test_the_demo_signs_its_owner_in_on_this_machine_only(): void
    {
        config(['destino.collection' => 'demo']);
        $this->seed(DemoSeeder::class);
        $this->withServerVariables(['REMOTE_ADDR' => '192.0.2.7'])->get('/animals')->assertForbidden();
        $this->withServerVariables(['REMOTE_ADDR' => '127.0.0.1'])->get('http://elsewhere.example/animals')->assertStatus(400);
        $this->withServerVariables(['REMOTE_ADDR' => '127.0.0.1'])->get('http://localhost/animals')->assertOk()->assertSee('Calico Jenny');
    }
}
