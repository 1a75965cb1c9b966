<?php

declare(strict_types=1);

namespace Tests;

use Illuminate\Foundation\Testing\TestCase as BaseTestCase;
use Illuminate\Testing\TestResponse;
use Opis\JsonSchema\Errors\ErrorFormatter;
use Opis\JsonSchema\Validator;
use PHPUnit\Framework\Assert;

abstract class TestCase extends BaseTestCase
{
    private const API = 'urn:apron:api';

    private static ?Validator $validator = null;

    private static ?\stdClass $api = null;

    /** False where a test brings what the description of the API cannot know. */
    protected bool $described = true;

    /** The registry has no Mockery, which the mocked console asks for. */
    public $mockConsoleOutput = false;

    public function createApplication()
    {
        $app = require __DIR__.'/../bootstrap/app.php';
        $app->make(\Illuminate\Contracts\Console\Kernel::class)->bootstrap();

        return $app;
    }

    /** Every answer is held against the description of the API, whatever the test was about. */
    public function call($method, $uri, $parameters = [], $cookies = [], $files = [], $server = [], $content = null)
    {
        $response = parent::call($method, $uri, $parameters, $cookies, $files, $server, $content);
        $route = app('router')->current()?->uri();
        if ($this->described && $route !== null && str_starts_with($route, 'api/')) {
            $this->demandDescribed(strtolower($method), "/$route", $response);
        }

        return $response;
    }

    private function demandDescribed(string $method, string $route, TestResponse $response): void
    {
        self::$api ??= json_decode((string) file_get_contents(__DIR__.'/../docs/formats/openapi.json'));
        $answers =
            self::$api->paths->{$route}->{$method}->responses ?? Assert::fail("$method $route is not described.");
        $status = $response->getStatusCode();
        $described = $answers->{$status} ?? null;
        if ($described === null) {
            // Who may ask at all, how often, and what no page sends: the same everywhere, and described nowhere.
            Assert::assertGreaterThanOrEqual(400, $status, "$method $route answers $status, which is not described.");

            return;
        }
        $schema = $described->content->{'application/json'}->schema ?? null;
        $json = str_contains((string) $response->headers->get('Content-Type'), 'json');
        Assert::assertSame(
            $schema !== null,
            $json && $status !== 204,
            "$method $route $status: JSON and not described.",
        );
        if ($schema !== null) {
            $this->demandValid($schema, json_decode((string) $response->getContent()), "$method $route $status");
        }
    }

    private function demandValid(\stdClass $schema, mixed $answer, string $what): void
    {
        if (self::$validator === null) {
            self::$validator = new Validator;
            self::$validator->resolver()?->registerRaw((object) ((array) self::$api + ['$id' => self::API]), self::API);
        }
        $absolute = json_decode(str_replace('"#\/', '"'.self::API.'#\/', (string) json_encode($schema)));
        $result = self::$validator->validate($answer, $absolute);
        $said = $result->error() === null ? [] : (new ErrorFormatter)->format($result->error());
        Assert::assertSame([], $said, "$what is not as the API is described");
    }
}
