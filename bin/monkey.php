<?php

declare(strict_types=1);

// A hasty person: types, presses, clicks and drags at random over all pages. A page that dies, an error in the console
// or a fault of the server is what it looks for. Twenty seconds of it run in the tests; ./apron monkey SECONDS [SEED]
// runs it by hand on a copy of the demo.

require_once __DIR__.'/browser.php';

use Facebook\WebDriver\Chrome\ChromeDevToolsDriver;

final class Monkey
{
    private const PAGES = [
        'brief',
        'assemblies',
        'assemblies/w1',
        'assemblies/w2',
        'assemblies/w1/beside',
        'assemblies/w2/climates',
        'materials',
        'sequences',
        'sequences/o4',
        'sequences/o4/cards',
        'sequences/o4/joint',
        'sequences/o4/try',
        'site',
        'site/faults',
        'report',
        'findings',
        'contacts',
    ];

    private const TYPED = [
        '120 mm',
        '2 in',
        '3/8"',
        'R-10',
        '0',
        '-5',
        '1e9',
        'abc',
        '6 in',
        '150',
        '0.8 perm',
        '10F',
        '…',
        'é 😀',
        '1-1/2 in',
        '  ',
        '99999999',
        '"><b>',
    ];

    private const KEYS = [
        'ArrowLeft',
        'ArrowRight',
        'ArrowUp',
        'ArrowDown',
        'Enter',
        'Escape',
        'Tab',
        'Delete',
        'Backspace',
        'Home',
        'End',
        'PageDown',
        'PageUp',
    ];

    private const LETTERS = 'wavhufrn/.?cmpjtdlks[]0123456789WAVHP';

    /** What a person has to wait for, or what would end the walk: a report printed, a file taken home, signing out. */
    private const NOT_CLICKED = '/sign out|print the report|make a PDF|project\.(zip|json)|CSV|SVG|all projects|bring in/i';

    public int $acts = 0;

    /** @var list<string> */
    public array $found = [];

    private \Random\Randomizer $random;

    private ChromeDevToolsDriver $tools;

    private string $did = '';

    public function __construct(private readonly Browser $browser, private readonly string $project, int $seed)
    {
        $this->random = new \Random\Randomizer(new \Random\Engine\Mt19937($seed));
        $this->tools = new ChromeDevToolsDriver($browser->driver);
    }

    public function run(float $seconds): void
    {
        $until = microtime(true) + $seconds;
        $this->open();
        $this->browser->driver->manage()->getLog('browser');
        while (microtime(true) < $until && count($this->found) < 5) {
            match (true) {
                ($dice = $this->random->getInt(1, 100)) <= 4 => $this->walk(),
                $dice <= 30 => $this->type(),
                $dice <= 60 => $this->key(),
                $dice <= 66 => $this->chord(),
                $dice <= 72 => $this->select(),
                $dice <= 80 => $this->drag(),
                default => $this->click(),
            };
            $this->acts++;
            $this->look();
        }
        $this->look(thoroughly: true);
    }

    private function look(bool $thoroughly = false): void
    {
        $dead = $this->script(
            'const b = document.querySelector("[data-broken-page]"); const text = document.body.innerText; return b || text.includes("Unexpected Application Error") || text.trim() === "" ? text.slice(0, 400) : null',
        );
        if ($dead !== null) {
            $this->note("a dead page: $dead");
            $this->open();
        }
        if ($thoroughly || $this->acts % 20 === 0) {
            foreach ($this->browser->driver->manage()->getLog('browser') as $line) {
                // What the server refuses is for the page to say, and the browser notes it as well.
                if ($line['level'] === 'SEVERE' && preg_match('/status of 4(04|09|22|29)/', $line['message']) !== 1) {
                    $this->note("in the console: {$line['message']}");
                }
            }
            if ($this->script('return location.pathname.startsWith("/p/")') !== true) {
                $this->open();
            }
        }
    }

    private function note(string $what): void
    {
        $this->found[] =
            mb_strimwidth($what, 0, 600, '…').
            "\n  after {$this->acts} acts, {$this->did}, at {$this->browser->driver->getCurrentURL()}";
    }

    private function open(): void
    {
        $page = self::PAGES[$this->random->getInt(0, count(self::PAGES) - 1)];
        $this->did = "opening $page";
        $this->browser->open("/p/{$this->project}/$page");
        $this->browser->until('return document.querySelector("main, [data-broken-page]") !== null', 'a page');
    }

    private function walk(): void
    {
        if ($this->random->getInt(1, 6) === 1) {
            $this->open();

            return;
        }
        $this->did = 'walking to another step';
        $this->script(
            'const a = [...document.querySelectorAll("nav[aria-label=Steps] a[href*=\"/p/\"]")]; a[arguments[0] % Math.max(1, a.length)]?.click()',
            [$this->random->getInt(0, 999)],
        );
    }

    private function type(): void
    {
        $focused = $this->script(
            'const f = [...document.querySelectorAll("input:not([type=file]):not([type=checkbox]):not([type=radio]), textarea")].filter(e => !e.disabled && e.getClientRects().length); const e = f[arguments[0] % Math.max(1, f.length)]; if (!e) return null; e.focus(); e.select?.(); return e.getAttribute("aria-label") ?? e.id ?? "field"',
            [$this->random->getInt(0, 999)],
        );
        if ($focused === null) {
            return;
        }
        $text = self::TYPED[$this->random->getInt(0, count(self::TYPED) - 1)];
        $this->did = "typing “{$text}” into $focused";
        foreach (mb_str_split($text) as $letter) {
            $this->tools->execute('Input.insertText', ['text' => $letter]);
        }
        if ($this->random->getInt(1, 3) === 1) {
            $this->press(['Enter', 'Tab', 'Escape'][$this->random->getInt(0, 2)]);
        }
    }

    private function key(): void
    {
        if ($this->random->getInt(0, 1) === 1) {
            $this->script('document.activeElement?.blur()');
        }
        $key =
            $this->random->getInt(0, 2) === 0
                ? self::KEYS[$this->random->getInt(0, count(self::KEYS) - 1)]
                : self::LETTERS[$this->random->getInt(0, strlen(self::LETTERS) - 1)];
        $this->did = "pressing $key";
        foreach (range(1, $this->random->getInt(1, 4)) as $_) {
            $this->press($key);
        }
    }

    private function chord(): void
    {
        [$key, $with] = [
            ['z', 2],
            ['z', 2],
            ['Z', 10],
            ['ArrowLeft', 1],
            ['ArrowRight', 1],
            ['ArrowUp', 1],
            ['ArrowDown', 1],
        ][$this->random->getInt(0, 6)];
        $this->did = "pressing $key with modifiers $with";
        $this->script('document.activeElement?.blur?.()');
        $this->press($key, $with);
    }

    private function press(string $key, int $modifiers = 0): void
    {
        $text =
            mb_strlen($key) === 1 && $modifiers === 0 ? ['text' => $key] : ($key === 'Enter' ? ['text' => "\r"] : []);
        $codes = [
            'Enter' => 13,
            'Escape' => 27,
            'Tab' => 9,
            'Backspace' => 8,
            'Delete' => 46,
            'Home' => 36,
            'End' => 35,
            'PageUp' => 33,
            'PageDown' => 34,
            'ArrowLeft' => 37,
            'ArrowUp' => 38,
            'ArrowRight' => 39,
            'ArrowDown' => 40,
        ];
        $code = $codes[$key] ?? ord(strtoupper($key[0]));
        $this->tools->execute(
            'Input.dispatchKeyEvent',
            ['type' => 'keyDown', 'key' => $key, 'windowsVirtualKeyCode' => $code, 'modifiers' => $modifiers] + $text,
        );
        $this->tools->execute('Input.dispatchKeyEvent', [
            'type' => 'keyUp',
            'key' => $key,
            'windowsVirtualKeyCode' => $code,
            'modifiers' => $modifiers,
        ]);
    }

    private function select(): void
    {
        $this->did =
            'choosing from a list: '.
            $this->script(
                <<<'JS'
                const all = [...document.querySelectorAll("select")]
                  .filter((s) => !s.disabled && s.getClientRects().length && s.options.length > 1);
                const s = all[arguments[0] % Math.max(1, all.length)];
                if (!s) return "none";
                const option = s.options[arguments[1] % s.options.length];
                if (option.disabled) return "none";
                Object.getOwnPropertyDescriptor(HTMLSelectElement.prototype, "value").set.call(s, option.value);
                s.dispatchEvent(new Event("change", { bubbles: true }));
                return `${s.getAttribute("aria-label")} ${option.value}`;
                JS
                ,
                [$this->random->getInt(0, 999), $this->random->getInt(0, 999)],
            );
    }

    private function click(): void
    {
        $at = $this->script(
            <<<'JS'
            const all = [...document.querySelectorAll("button, a[href^='/p/'], summary, label, [role=option], [data-piece], [data-layer], [data-hit], input[type=checkbox], input[type=radio]")]
              .filter((e) => e.getClientRects().length && !e.querySelector("input[type=file]"))
              .filter((e) => !/PATTERN/i.test(e.textContent ?? ""));
            const e = all[arguments[0] % Math.max(1, all.length)];
            if (!e) return null;
            e.scrollIntoView({ block: "center" });
            const r = e.getBoundingClientRect();
            return [r.x + r.width / 2, r.y + r.height / 2, (e.textContent ?? "").trim().slice(0, 40)];
            JS
            ,
            [$this->random->getInt(0, 9999)],
        );
        if ($at === null) {
            return;
        }
        $this->did = "clicking “{$at[2]}”";
        foreach (range(1, $this->random->getInt(1, 2)) as $_) {
            $this->mouse('mousePressed', $at[0], $at[1]);
            $this->mouse('mouseReleased', $at[0], $at[1]);
        }
    }

    private function drag(): void
    {
        $box = $this->script(
            'const s = document.querySelector("svg[data-drawing]"); if (!s) return null; const r = s.getBoundingClientRect(); return [r.x, r.y, r.width, r.height]',
        );
        if ($box === null) {
            return;
        }
        $this->did = 'dragging on the drawing';
        $place = fn (): array => [
            $box[0] + ($this->random->getInt(0, 1000) / 1000) * $box[2],
            $box[1] + ($this->random->getInt(0, 1000) / 1000) * $box[3],
        ];
        [$from, $to] = [$place(), $place()];
        $this->mouse('mousePressed', ...$from);
        $this->mouse('mouseMoved', ($from[0] + $to[0]) / 2, ($from[1] + $to[1]) / 2);
        $this->mouse('mouseMoved', ...$to);
        $this->mouse('mouseReleased', ...$to);
    }

    private function mouse(string $type, float $x, float $y): void
    {
        $this->tools->execute('Input.dispatchMouseEvent', [
            'type' => $type,
            'x' => $x,
            'y' => $y,
            'button' => 'left',
            'buttons' => $type === 'mouseReleased' ? 0 : 1,
            'clickCount' => $type === 'mouseMoved' ? 0 : 1,
        ]);
    }

    /** @param  list<mixed>  $arguments */
    private function script(string $script, array $arguments = []): mixed
    {
        return $this->browser->driver->executeScript(str_replace('/PATTERN/i', self::NOT_CLICKED, $script), $arguments);
    }
}

if (realpath((string) ($_SERVER['SCRIPT_FILENAME'] ?? '')) === __FILE__) {
    require __DIR__.'/../vendor/autoload.php';
    [$seconds, $seed] = [(float) ($argv[1] ?? 600), (int) ($argv[2] ?? random_int(1, 1_000_000))];
    $browser = new Browser((string) getenv('APRON_URL'));
    $browser->signIn('consultant');
    $browser->see('a[href^="/p/"]');
    $project = $browser->driver->executeScript(
        'return document.querySelector(\'a[href^="/p/"]\').pathname.split("/")[2]',
    );
    $monkey = new Monkey($browser, $project, $seed);
    $monkey->run($seconds);
    echo "{$monkey->acts} acts in $seconds s, seed $seed\n".
        ($monkey->found === []
            ? "no dead page, no error in the console, no fault of the server\n"
            : implode("\n", $monkey->found)."\n");
    $browser->close();
    exit($monkey->found === [] ? 0 : 1);
}
