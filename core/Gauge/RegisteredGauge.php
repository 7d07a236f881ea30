<?php

declare(strict_types=1);

namespace MuteTapper\Core\Gauge;

use MuteTapper\Core\Document\BadDocument;
use MuteTapper\Core\Document\Node;
use MuteTapper\Core\Entry\Gauge;

/** A gauge that the shop owns: of a kind, with what its calibration says of it. */
final readonly class RegisteredGauge
{
    private const PARTS = ['zero', 'gain', 'gain_floor', 'repeat', 'repeat_relative'];
    private const MOST_MONTHS = 120;

    private function __construct(
        public string $kind,
        public string $serial,
        public Gauge $gauge,
        public bool $isOffsetKnown,
        public ?float $resolution,
        public ?\DateTimeImmutable $calibratedOn,
        public ?\DateTimeImmutable $dueOn,
    ) {
    }

    /**
     * @param Node $node kind; half-widths that differ from those of its kind, in its unit: zero, gain, gain_floor, repeat,
     *                   repeat_relative; offset where it is known, resolution, serial, calibrated_on, every_months, cable
     * @param array<string, Gauge> $kinds by code
     *
     * @throws BadDocument
     */
    public static function fromNode(string $code, string $name, Node $node, array $kinds): self
    {
        $word = $node->get('kind')->word();
        $kind = $kinds[$word] ?? throw BadDocument::at($node->pointer.'/kind', sprintf('there is no kind of gauge “%s”.', $word));
        $worth = ['code' => $code, 'label' => $name] + $kind->toArray();
        foreach (self::PARTS as $part) {
            $worth[$part] = self::positive($node->maybe($part)) ?? $worth[$part];
        }
        $offset = $node->maybe('offset')?->number();
        $worth['offset'] = $offset ?? 0.0;
        $worth['cable'] = $node->maybe('cable')?->flag() ?? false;
        $resolution = self::positive($node->maybe('resolution'));
        // A display that steps hides up to half a step of each reading.
        $worth['repeat'] = max($worth['repeat'], ($resolution ?? 0.0) / 2);
        $gauge = Gauge::fromNode(Node::root(['stated' => '–'] + $worth));
        $calibrated = $node->maybe('calibrated_on')?->day();
        $months = $node->maybe('every_months')?->whole(1, self::MOST_MONTHS);
        $due = $calibrated === null || $months === null ? null : $calibrated->modify(sprintf('+%d months', $months));

        return new self(
            $word, $node->maybe('serial')?->word(80) ?? '',
            Gauge::fromNode(Node::root(['stated' => self::words($gauge, $offset)] + $worth)),
            $offset !== null, $resolution, $calibrated,
            $due === false ? null : $due,
        );
    }

    public function isOverdue(\DateTimeImmutable $today): bool
    {
        return $this->dueOn !== null && $today->format('Y-m-d') > $this->dueOn->format('Y-m-d');
    }

    /** What it is worth, in words. */
    private static function words(Gauge $gauge, ?float $offset): string
    {
        $unit = $gauge->unit->value === '1' ? '' : ' '.$gauge->unit->value;
        $figure = static fn (float $number): string => rtrim(rtrim(number_format($number, 5, '.', ''), '0'), '.');
        $gain = $gauge->gain > 0.0
            ? sprintf('±%s %%', $figure(100 * $gauge->gain)).($gauge->gainFloor > 0.0 ? ' or '.$figure($gauge->gainFloor).$unit : '') : '';
        $isSaid = static fn (string $words): bool => $words !== '';
        $repeats = implode(' and ', array_filter([
            $gauge->repeat > 0.0 ? $figure($gauge->repeat).$unit : '',
            $gauge->repeatRelative > 0.0 ? $figure(100 * $gauge->repeatRelative).' %' : '',
        ], $isSaid));
        $zero = match (true) {
            $offset !== null => sprintf('reads %s%s %s, known to %s%s', $figure(abs($offset)), $unit, $offset < 0 ? 'low' : 'high',
                $figure($gauge->zero), $unit),
            $gauge->zero > 0.0 => sprintf('offset not known, taken as up to %s%s', $figure($gauge->zero), $unit),
            default => '',
        };

        return implode(', ', array_filter([$gain, $repeats === '' ? '' : 'repeats to '.$repeats, $zero], $isSaid));
    }

    private static function positive(?Node $node): ?float
    {
        $number = $node?->number();

        return $node !== null && $number < 0 ? throw BadDocument::at($node->pointer, 'this cannot be negative.') : $number;
    }
}
