<?php

declare(strict_types=1);

namespace MuteTapper\Core\Valve;

use MuteTapper\Core\Calculation\LinearForm;
use MuteTapper\Core\Calculation\Source;
use MuteTapper\Core\CaseFile\Step;
use MuteTapper\Core\Engine\Coil;
use MuteTapper\Core\Engine\DriveKind;
use MuteTapper\Core\Engine\Part;
use MuteTapper\Core\Entry\Answer;
use MuteTapper\Core\Entry\EntryKind;
use MuteTapper\Core\Quantity\Dimension;
use MuteTapper\Core\Quantity\Unit;
use MuteTapper\Core\Sheet\Bench;
use MuteTapper\Core\Sheet\Column;
use MuteTapper\Core\Sheet\From;
use MuteTapper\Core\Sheet\Judged;
use MuteTapper\Core\Sheet\Sheet;
use MuteTapper\Core\Sheet\Slider;
use MuteTapper\Core\Sheet\Value;
use MuteTapper\Core\Sheet\Way;

/** Retainers and locks: whether they are of one kind, and whether each lock fits its retainer. */
final class RetainerSheet
{
    /** What such parts usually weigh in grams, and the half-width of that, by kind of drive: guesses from memory. [own] */
    private const USUAL_MASS = [
        DriveKind::Pushrod->value => [19.0, 6.0], DriveKind::Bucket->value => [11.0, 4.0], DriveKind::Finger->value => [9.0, 4.0],
    ];

    private const KIND = 'lock_kind';
    private const CLAMPING = 'clamping';
    private const BUTTING = 'butting';
    /** A gap below this cannot be told from halves that touch, in metres. [own] */
    private const NO_GAP = 0.05e-3;

    public static function declare(): Sheet
    {
        $angle = static fn (string $code, Part $part): Column => Column::of($code, $part, 4, 14, Unit::Degree)
            ->by('protractor')->usually(7, Unit::Degree);

        return new Sheet(
            code: 'retainers',
            title: 'Retainers and locks',
            step: Step::Bench,
            what: 'retainers and locks',
            columns: [
                Column::length('retainer_bore', Part::Retainer, 0.2, 1.0, 'bore at the small end')->headed('bore')->comparedWithSet()
                    ->usually(0.52),
                Column::length('register_diameter', Part::Retainer, 0.3, 2.2, 'register of the outer spring')
                    ->headed('register')->usually(1.11),
                $angle('retainer_angle', Part::Retainer),
                Column::of('retainer_mass', Part::Retainer, 2, 80, Unit::Gram, 'mass of the retainer')
                    ->headed('mass')->by('scale')->comparedWithSet()->usually(19, Unit::Gram)
                    ->triedOn(Slider::around(12, 12, 0.5, Unit::Gram))
                    ->orElse(...Way::typical(self::USUAL_MASS, Unit::Gram)),
                $angle('lock_angle', Part::Locks),
                Column::length('taper_depth', Part::Retainer, 0.1, 0.8, 'depth of the taper')->usually(0.31),
                Column::length('lock_height', Part::Locks, 0.1, 0.7)->comparedWithSet()->usually(0.3),
                Column::length('lock_ridge', Part::Locks, 0.01, 0.3, 'width of the ridge of the locks')
                    ->headed('lock ridge')->usually(0.08),
                Column::length('lock_gap', Part::Locks, 0.0, 0.15, 'gap between the lock halves, clamped')->headed('lock gap')->by('feeler')
                    ->recordOnly('Judged in words, by the kind of the locks.')->usually(0.03),
            ],
            values: [
                Value::named('lock_in_retainer', 'taper of the locks against the retainer', Dimension::CrankAngle)
                    ->by(Way::derived(self::tapers(), [
                        'lock' => From::value('lock_angle'), 'retainer' => From::value('retainer_angle'),
                    ])),
                Value::named('lock_in_groove', 'ridge of the locks in the groove', Dimension::Length)->by(Way::derived(
                    self::groove(), ['groove_width' => From::value('groove_width'), 'lock_ridge' => From::value('lock_ridge')],
                )),
                Value::named('lock_over_taper', 'length of the locks against the taper', Dimension::Length)->by(Way::derived(
                    self::length(), ['lock_height' => From::value('lock_height'), 'taper_depth' => From::value('taper_depth')],
                )),
                Value::named('spring_on_register', 'outer spring on the register of the retainer', Dimension::Length)
                    ->by(Way::derived(self::register(), [
                        'inside_diameter' => From::value('inside_diameter', Coil::Outer->value),
                        'register' => From::value('register_diameter'),
                    ])),
            ],
            judged: [
                Judged::of('lock_in_retainer', 'lock taper')->restsOn('lock', 'retainer'),
                Judged::of('lock_in_groove', 'lock in groove')->restsOn('groove_width', 'lock_ridge'),
                Judged::of('lock_over_taper', 'lock length')->restsOn('lock_height', 'taper_depth'),
                Judged::of('spring_on_register', 'spring on register')->restsOn('register'),
            ],
            remarks: [self::gaps(...)],
            wants: ['lock_height' => 1, 'retainer_bore' => 1],
            questions: [self::KIND],
        );
    }

    private static function groove(): LinearForm
    {
        return LinearForm::of(
            'lock-in-groove', 'Ridge of the locks in the groove', Dimension::Length, 'width of the groove − width of the ridge',
            Source::practice('a ridge that does not go in holds by its edge; a narrow one hammers the groove wider'),
        )->plus('groove_width', 'width of the groove')->minus('lock_ridge', 'width of the ridge of the locks');
    }

    private static function length(): LinearForm
    {
        return LinearForm::of(
            'lock-over-taper', 'Length of the locks against the taper', Dimension::Length, 'lock height − depth of the taper',
            Source::practice('locks meant for another retainer are a mismatch whatever else fits'),
        )->plus('lock_height', 'height of the locks')->minus('taper_depth', 'depth of the taper in the retainer');
    }

    private static function tapers(): LinearForm
    {
        return LinearForm::of(
            'lock-in-retainer', 'Taper of the locks against the retainer', Dimension::CrankAngle, 'lock angle − retainer angle',
            Source::practice('tapers of 7, 8 and 10 degrees are made; a lock bears at one end only in another’s retainer'),
        )->plus('lock', 'taper of the locks')->minus('retainer', 'taper of the retainer');
    }

    private static function register(): LinearForm
    {
        return LinearForm::of(
            'spring-on-register', 'Outer spring on the register of the retainer', Dimension::Length, 'inside diameter − register',
            Source::practice(),
        )->plus('inside_diameter', 'inside diameter of the outer spring')->minus('register', 'step of the retainer that centres it');
    }

    /**
     * Clamping locks must keep a gap, or they do not clamp; the halves of butting ones touch, and the stem turns. Where the kind is
     * not known nothing is decided. [practice].
     *
     * @return list<string>
     */
    private static function gaps(Bench $bench): array
    {
        $kinds = [];
        foreach ($bench->case->log->standing(EntryKind::Answer) as $entry) {
            if ($entry->slot->item === self::KIND) {
                $kinds[$entry->slot->place] = Answer::fromNode($entry->node())->choice;
            }
        }
        $wrong = $open = [];
        foreach ($bench->case->engine->stations as $station) {
            $gap = $bench->reading($station->code(), $bench->sheets->columns['lock_gap'], null)?->typed->quantity()->base;
            if ($gap === null) {
                continue;
            }
            $label = $bench->case->engine->placeLabel($station->code()) ?? $station->code();
            match ($kinds[$station->code()] ?? null) {
                self::CLAMPING => $gap < self::NO_GAP ? $wrong['Clamping locks without a gap do not clamp'][] = $label : null,
                self::BUTTING => $gap >= self::NO_GAP ? $wrong['Butting locks with a gap clamp the stem'][] = $label : null,
                default => $open[] = $label,
            };
        }
        $said = [];
        foreach ($wrong as $words => $labels) {
            $said[] = sprintf('%s: %s.', $words, implode(', ', $labels));
        }

        return $open === [] ? $said : [...$said, sprintf('Kind of the locks not known, gap not judged: %s.', implode(', ', $open))];
    }
}
