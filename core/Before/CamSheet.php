<?php

declare(strict_types=1);

namespace MuteTapper\Core\Before;

use MuteTapper\Core\Calculation\LinearForm;
use MuteTapper\Core\Calculation\Source;
use MuteTapper\Core\CaseFile\Step;
use MuteTapper\Core\Engine\Cams;
use MuteTapper\Core\Engine\Engine;
use MuteTapper\Core\Engine\Part;
use MuteTapper\Core\Engine\Site;
use MuteTapper\Core\Engine\ValveKind;
use MuteTapper\Core\Quantity\Dimension;
use MuteTapper\Core\Quantity\Unit;
use MuteTapper\Core\Sheet\Axis;
use MuteTapper\Core\Sheet\Column;
use MuteTapper\Core\Sheet\From;
use MuteTapper\Core\Sheet\Judged;
use MuteTapper\Core\Sheet\Sheet;
use MuteTapper\Core\Sheet\Value;
use MuteTapper\Core\Sheet\Way;

/** Phase of each cam against its card. */
final class CamSheet
{
    /** Half-width of the phase of a cam that nobody looked at, in crank degrees. [practice] */
    private const ON_MARKS = 2.0;

    public static function declare(): Sheet
    {
        $phase = LinearForm::of(
            'cam-phase-departure', 'Cam phase against the card', Dimension::CrankAngle, 'found − card',
            Source::practice(
                'more than 2 crank degrees off the card is a finding; positive is late where centres stand after top dead centre',
            ),
        )->plus('found', 'centre line as found')->minus('card', 'centre line on the card');

        return new Sheet(
            code: 'cams',
            title: 'Cam phase',
            step: Step::Before,
            what: 'cams',
            columns: [
                Column::of(
                    'cam_phase_card', Part::Timing, -180, 720, Unit::Degree, 'cam phase on the card',
                )->headed('on the card')->at(Axis::Cam)->by('degree_wheel')->usually(108, Unit::Degree),
                Column::of(
                    'cam_phase_found', Part::Timing, -180, 720, Unit::Degree, 'cam phase found',
                )->headed('found')->at(Axis::Cam)->by('degree_wheel')->usually(108, Unit::Degree),
            ],
            values: [
                Value::named('cam_phase', 'cam phase against the card', Dimension::CrankAngle, Site::Engine, Axis::Cam)
                    ->by(Way::derived($phase, ['found' => From::value('cam_phase_found'), 'card' => From::value('cam_phase_card')])),
                self::early(),
                self::towardPiston(),
            ],
            judged: [
                Judged::of('cam_phase', 'off the card'),
                Judged::of('cam_phase_toward_piston', 'toward the piston')->restsOn('phase')->apart(),
            ],
            site: Site::Engine,
            rows: Axis::Cam,
        );
    }

    /** Of the cam that moves a valve, whatever its centres are counted from. */
    private static function early(): Value
    {
        return Value::named('cam_early', 'crank degrees that the cam of the valve is early', Dimension::CrankAngle)->by(
            ...self::earlier(ValveKind::Intake, true), ...self::earlier(ValveKind::Exhaust, true),
            ...[Way::usual(0, Unit::Degree, 'taken as on its marks: its phase was not found', self::ON_MARKS)],
        );
    }

    /** A late exhaust and an early intake come nearer to the piston; one cam that drives both gives one of each. */
    private static function towardPiston(): Value
    {
        return Value::named(
            'cam_phase_toward_piston', 'crank degrees that the cam is off toward the piston', Dimension::CrankAngle, Site::Cam,
        )->by(...self::earlier(ValveKind::Intake, true), ...self::earlier(ValveKind::Exhaust, false));
    }

    /**
     * How far the cam of a kind is early, or late: centres of exhaust cams of their own are counted before top dead centre.
     *
     * @return list<Way>
     */
    private static function earlier(ValveKind $kind, bool $early): array
    {
        $from = ['phase' => From::itsCam('cam_phase')];
        $areTogether = static fn (Engine $engine): bool => !Cams::areApart($engine);
        $afterTop = Way::derived(self::signed('', !$early), $from)->ofKind($kind);

        return $kind === ValveKind::Intake
            ? [$afterTop]
            : [
                $afterTop->on($areTogether),
                Way::derived(self::signed('exhaust-', $early), $from)->ofKind($kind)->on(Cams::areApart(...)),
            ];
    }

    private static function signed(string $of, bool $same): LinearForm
    {
        $form = match (true) {
            $of === '' && !$same => LinearForm::of(
                'cam-early', 'Cam early, centres after top dead centre', Dimension::CrankAngle, '− (found − card)', Source::practice(),
            ),
            $of === '' => LinearForm::of(
                'cam-late', 'Cam late, centres after top dead centre', Dimension::CrankAngle, 'found − card', Source::practice(),
            ),
            $same => LinearForm::of(
                'exhaust-cam-early', 'Exhaust cam early, centres before top dead centre', Dimension::CrankAngle, 'found − card',
                Source::practice(),
            ),
            default => LinearForm::of(
                'exhaust-cam-late', 'Exhaust cam late, centres before top dead centre', Dimension::CrankAngle, '− (found − card)',
                Source::practice(),
            ),
        };

        return $same ? $form->plus('phase', 'cam phase against the card') : $form->minus('phase', 'cam phase against the card');
    }
}
