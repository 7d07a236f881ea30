<?php

declare(strict_types=1);

namespace MuteTapper\Core\Quantity;

/**
 * Reads what people type at the bench: `0.045`, `.045in`, `45 thou`, `18 tenths`, `1.14 mm`, `1,14 mm`, `115 lb`, `52 kgf`.
 * Never converts the implausible in silence: it refuses, and offers the readings that would make sense.
 */
final readonly class EntryParser
{
    private const PATTERN = '/^(?<sign>[-+−]?)(?<number>[0-9.,]*[0-9][0-9.,]*)\s*(?<unit>[a-zµμ%"\/:123·°²³]*)$/iu';

    public function __construct(private UnitSystem $system)
    {
    }

    /** @throws NotUnderstood */
    public function parse(string $text, PlausibleRange $range): Typed
    {
        $text = trim($text);
        if (mb_strlen($text) > 40) {
            throw $this->refuse(mb_substr($text, 0, 40), 'That is too long for a reading.', $range);
        }
        if ($text === '' || preg_match(self::PATTERN, $text, $match) !== 1) {
            throw $this->refuse($text, $text === '' ? 'Nothing was typed.' : sprintf('“%s” is not a number with a unit.', $text), $range);
        }
        $unit = $match['unit'] === '' ? $this->system->unitOf($range->dimension()) : Unit::spelled($match['unit']);
        if ($unit === null || $unit->dimension() !== $range->dimension()) {
            throw $this->refuse(
                $text,
                sprintf('“%s” is not a unit of %s.', $match['unit'], str_replace('_', ' ', $range->dimension()->value)), $range,
            );
        }
        $digits = $this->digits($text, $match['number'], $match['unit'], $range);
        $number = (float) $digits * (in_array($match['sign'], ['-', '−'], true) ? -1 : 1);
        $point = strpos($digits, '.');
        $typed = new Typed($number, $unit, $point === false ? 0 : strlen($digits) - $point - 1);
        if (!$range->holds($typed->quantity())) {
            throw $this->implausible($text, $typed, $range);
        }

        return $typed;
    }

    /** The number with a decimal point, or a refusal where separators leave two readings or none. */
    private function digits(string $text, string $number, string $unit, PlausibleRange $range): string
    {
        $points = substr_count($number, '.');
        $commas = substr_count($number, ',');
        if ($points + $commas > 1) {
            throw $this->refuse(
                $text,
                sprintf('“%s” has %s.', $text, $commas === 0 ? 'two decimal points' : 'more than one separator'), $range,
            );
        }
        if ($commas === 1 && preg_match('/^[1-9]\d{0,2},\d{3}$/', $number) === 1) {
            $tail = $unit === '' ? '' : ' '.$unit;
            $offers = [str_replace(',', '.', $number).$tail, str_replace(',', '', $number).$tail];
            throw NotUnderstood::because(
                $text, sprintf('“%s” can be read two ways: %s or %s.', $text, $offers[0], $offers[1]), $this->accepted($range), $offers,
            );
        }

        return ltrim(str_replace(',', '.', $number), '0') === '' ? '0' : str_replace(',', '.', $number);
    }

    private function implausible(string $text, Typed $typed, PlausibleRange $range): NotUnderstood
    {
        $offers = [];
        foreach (Unit::cases() as $unit) {
            if ($unit !== $typed->unit && $unit->dimension() === $range->dimension() && Unit::spelled($unit->value) === $unit) {
                $other = Quantity::of($typed->number, $unit);
                if ($range->holds($other)) {
                    $offers[] = number_format($typed->number, $typed->decimals, '.', '').' '.$unit->value;
                }
            }
        }
        $inch = $this->system === UnitSystem::Inch;
        usort(
            $offers,
            static fn (string $a, string $b): int => (int) str_ends_with($inch ? $b : $a, 'thou') <=> (int) str_ends_with(
                $inch ? $a : $b, 'thou',
            ),
        );
        $reason = sprintf(
            '%s is not plausible here: expected is %s to %s.',
            rtrim($text).(preg_match('/[a-z%"]$/i', $text) === 1 ? '' : ' '.$typed->unit->value),
            $this->system->figure($range->least),
            $this->system->show($range->most),
        );
        if ($offers !== []) {
            $reason .= ' '.$this->spelledOut($offers[0], $range).'?';
        }

        return NotUnderstood::because($text, $reason, $this->accepted($range), array_slice($offers, 0, 2));
    }

    private function spelledOut(string $offer, PlausibleRange $range): string
    {
        [$number, $unit] = explode(' ', $offer);
        $quantity = Quantity::of((float) $number, Unit::from($unit));

        return Unit::from($unit) === $this->system->unitOf($range->dimension())
            ? $offer
            : sprintf('%s (%s)', $offer, $this->system->show($quantity));
    }

    private function refuse(string $text, string $reason, PlausibleRange $range): NotUnderstood
    {
        return NotUnderstood::because($text, $reason, $this->accepted($range));
    }

    /** Examples of accepted forms, made from a usual figure. */
    private function accepted(PlausibleRange $range): string
    {
        $middle = $range->example();
        $forms = match ($range->dimension()) {
            Dimension::Length => [[Unit::Inch, 3, 'in'], [Unit::Thou, 0, 'thou'], [Unit::Millimetre, 2, 'mm']],
            Dimension::Force => [[Unit::PoundForce, 1, 'lb'], [Unit::Newton, 0, 'N'], [Unit::KilogramForce, 1, 'kgf']],
            default => [[$this->system->unitOf($range->dimension()), $this->system->decimalsOf($range->dimension()), '']],
        };

        return implode(', ', array_map(
            static fn (array $form): string => trim(number_format($middle->in($form[0]), $form[1], '.', '').' '.$form[2]),
            $forms,
        ));
    }
}
