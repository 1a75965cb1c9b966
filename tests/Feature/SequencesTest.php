<?php

use Apron\Sequence\Generators;

beforeEach(function () {
    [$this->project, $consultant] = practice();
    $this->actingAs($consultant);
    $this->path = "/api/projects/{$this->project->id}";
    $this->stored = $this->getJson("{$this->path}/sequences/o4")->json();
});

it('makes an opening by each method, from its sizes alone, and it can be saved', function (string $generator) {
    $sheet = $this->postJson("{$this->path}/generate", ['id' => 'o9', 'title' => 'Nine', 'generator' => $generator, 'parameters' => ['width_mm' => 900, 'height_mm' => 1200, 'depth_mm' => 150]])->assertOk()->json();
    expect($sheet['detail']['generated']['generator'])->toBe($generator)->and($sheet['rain'])->toHaveCount(count($sheet['steps']))->and(end($sheet['rain'])['safe'])->toBeTrue()
        ->and(array_filter($sheet['findings'], fn (array $f) => $f['severity'] === 'fail'))->toBe([]);
    $this->putJson("{$this->path}/documents/detail/o9", ['revision' => 0, 'content' => $sheet['detail']])->assertOk();
    $traced = collect($this->getJson("{$this->path}/assessment")->json('details'))->firstWhere('id', 'o9');
    expect($traced['worst'])->toBe(end($sheet['rain'])['worst']);
})->with(array_keys(Generators::all()));

it('refuses a method it does not know and sizes that a method cannot dress', function () {
    $asked = ['id' => 'o9', 'title' => 'Nine', 'parameters' => ['width_mm' => 900, 'height_mm' => 1200, 'depth_mm' => 150]];
    $this->postJson("{$this->path}/generate", ['generator' => 'by-magic'] + $asked)->assertUnprocessable();
    $this->postJson("{$this->path}/generate", array_replace_recursive($asked, ['parameters' => ['width_mm' => 20]]))->assertUnprocessable()->assertJsonFragment(['message' => 'width_mm is 20; expected 300 to 6000 mm']);
});

it('traces a detail as it is drawn, before it is saved', function () {
    $detail = $this->stored['detail'];
    $strip = array_search('head-strip', array_column($detail['pieces'], 'id'), true);
    unset($detail['generated']);
    // The head strip laid over the flap instead of under it: its top is then held by its bond alone.
    $detail['pieces'][$strip]['step'] = 11;
    $detail['pieces'][$strip]['patches'][0]['step'] = 11;
    $sheet = $this->postJson("{$this->path}/sheet", ['content' => $detail])->assertOk()->json();
    expect(array_column($sheet['findings'], 'key'))->toContain('head.exposed@details/o4#head-strip')
        // What is stored is as it was.
        ->and($this->getJson("{$this->path}/sequences/o4")->json('findings'))->toBe($this->stored['findings']);
});

it('refuses a drawing that cannot be built, with the patch', function () {
    $detail = $this->stored['detail'];
    $unit = array_search('unit', array_column($detail['pieces'], 'id'), true);
    $detail['pieces'][$unit]['step'] = 6;
    $detail['pieces'][$unit]['patches'][0]['step'] = 6;
    $this->postJson("{$this->path}/sheet", ['content' => $detail])->assertUnprocessable()
        ->assertJsonFragment(['pointer' => '/details/0/pieces/6/patches/0'])->assertJsonFragment(['expected' => 'overlapping patches in different steps']);
});

it('says of each step why it is not earlier, what a shower tonight would do, and where the water goes', function () {
    $rain = array_column($this->stored['rain'], null, 'step');
    expect(array_keys(array_filter(array_column($this->stored['rain'], 'safe', 'step'))))->toBe([8, 9, 10])->and($rain[7]['wets'])->toBe(['the face'])
        ->and($rain[1]['wets'])->toContain('the face')->and($this->stored['reasons'])->toContain(['before' => 7, 'after' => 8, 'why' => 'head strip lies under sheet']);
    foreach ($rain[10]['strips'] as $strip) {
        expect($strip['path'])->not->toBe([])->and($strip['route'][0]['facet'])->toBe($strip['facet'])->and($strip['u'][0])->toBeLessThan($strip['u'][1]);
        // Down a facet water only falls: v never rises from one point of the way to the next on the same facet.
        foreach (array_slice($strip['route'], 1) as $i => $point) {
            $before = $strip['route'][$i];
            expect($point['facet'] !== $before['facet'] || $point['v'] <= $before['v'])->toBeTrue();
        }
    }
});
