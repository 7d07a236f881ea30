<?php

declare(strict_types=1);

namespace MuteTapper\Core\Gauge;

use MuteTapper\Core\Document\BadDocument;
use MuteTapper\Core\Quantity\Unit;

/**
 * One line that a gauge sends: `reading gauge=height-2 n=41 value=1.8420 unit=in`, words in any order after the first; a tester adds
 * the height that it stands at, `height=1.900 height_unit=in`, a stand-in `simulated=yes`. `docs/formats/gauge-line.md` has it whole.
 */
final readonly class GaugeLine
{
    private const FIRST = 'reading';
    private const LONGEST = 200;
    private const NAME = '/^[a-z0-9][a-z0-9_.-]{0,79}$/';
    private const FIGURE = '/^-?[0-9]{1,9}(\.[0-9]{1,9})?$/';
    private const KNOWN = ['gauge', 'n', 'value', 'unit', 'height', 'height_unit', 'simulated'];

    private function __construct(
        public string $gauge,
        public int $number,
        public string $value,
        public Unit $unit,
        public ?string $height,
        public bool $isSimulated,
    ) {
    }

    /**
     * @param int $line number of the line, for the message
     *
     * @throws BadDocument
     */
    public static function parse(string $text, int $line = 1): self
    {
        $wrong = static fn (string $why): BadDocument => BadDocument::at('/line/'.$line, $why);
        $words = array_values(array_filter(explode(' ', trim($text)), static fn (string $word): bool => $word !== ''));
        if (strlen($text) > self::LONGEST || array_shift($words) !== self::FIRST) {
            throw $wrong('a line begins with “reading” and has at most 200 characters.');
        }
        $members = [];
        foreach ($words as $word) {
            [$key, $value] = explode('=', $word, 2) + [1 => ''];
            if (!in_array($key, self::KNOWN, true) || isset($members[$key])) {
                throw $wrong(sprintf('“%s” is not understood; accepted, each once: %s.', $word, implode(', ', self::KNOWN)));
            }
            $members[$key] = $value;
        }
        $matching = static function (string $key, string $pattern, string $accepted) use ($members, $wrong): string {
            $value = $members[$key] ?? '';

            return preg_match($pattern, $value) === 1 ? $value : throw $wrong(sprintf('%s is %s.', $key, $accepted));
        };
        $unit = static fn (string $key): Unit => Unit::spelled($members[$key] ?? '')
            ?? throw $wrong(sprintf('%s is a unit, as in, mm, lbf, N, psi, °.', $key));
        $height = isset($members['height'])
            ? $matching('height', self::FIGURE, 'a figure with a point').' '.$unit('height_unit')->value : null;

        return new self(
            $matching('gauge', self::NAME, 'the code of the gauge in the library'),
            (int) $matching('n', '/^[0-9]{1,12}$/', 'a number that rises from reading to reading'),
            $matching('value', self::FIGURE, 'a figure with a point'), $unit('unit'), $height, ($members['simulated'] ?? 'no') === 'yes',
        );
    }
}
