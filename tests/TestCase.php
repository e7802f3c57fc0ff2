<?php

namespace Tests;

use App\Models\Animal;
use App\Models\User;
use Illuminate\Foundation\Testing\RefreshDatabase;
use Illuminate\Foundation\Testing\TestCase as BaseTestCase;
use Illuminate\Http\Request;
use Illuminate\Http\Response;
use Illuminate\Testing\LoggedExceptionCollection;
use Illuminate\Testing\TestResponse;
use Tests\Support\ReadResponse;

abstract class TestCase extends BaseTestCase
{
    /** The owner of the collection under test; a test with a database starts signed in as the owner. */
    protected User $owner;

    protected function setUp(): void
    {
        parent::setUp();
        if (in_array(RefreshDatabase::class, class_uses_recursive($this), true) && $this->startsSignedIn()) {
            $this->actingAs($this->keeper());
        }
    }

    protected function startsSignedIn(): bool
    {
        return true;
    }

    protected function keeper(): User
    {
        return $this->owner ??= User::factory()->create(['name' => 'Owner of the tests', 'email' => 'owner@tests.localhost']);
    }

    /** @param  array<string, mixed>  $values */
    protected function made(array $values = []): Animal
    {
        return Animal::factory()->for($this->keeper(), 'keeper')->create($values);
    }

    /**
     * @param  Response  $response
     * @param  Request  $request
     * @return TestResponse<Response>
     */
    protected function createTestResponse($response, $request): TestResponse
    {
        $read = ReadResponse::fromBaseResponse($response, $request);
        $logged = LoggedExceptionCollection::class;

        return $read->withExceptions($this->app->bound($logged) ? $this->app->make($logged) : new LoggedExceptionCollection);
    }
}
