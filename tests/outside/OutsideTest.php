<?php

declare(strict_types=1);

namespace MuteTapper\Tests\Outside;

use MuteTapper\Core\Assessment\Assessment;
use MuteTapper\Core\Cause\Explanation;
use MuteTapper\Core\Cause\ItemKind;
use MuteTapper\Core\Cause\LaidItem;
use MuteTapper\Core\Cause\Model;
use MuteTapper\Core\Knowledge\Cause;
use MuteTapper\Core\Knowledge\Event;
use MuteTapper\Core\Knowledge\Link;
use MuteTapper\Core\Quantity\Normal;
use MuteTapper\Core\Quantity\Unit;
use MuteTapper\Tests\Core\Cause\Archetypes;
use MuteTapper\Tests\Core\Example;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/** Checks against programs that know nothing of this one: GNU units, SciPy, NumPy, and a brute-force sum in Python. */
final class OutsideTest extends TestCase
{
    use RunsPython;

    /** @return iterable<array{Unit, string, string}> our unit, its name and that of the SI unit for GNU units */
    public static function units(): iterable
    {
        yield [Unit::Inch, 'inch', 'm'];
        yield [Unit::Thou, '0.001 inch', 'm'];
        yield [Unit::Tenth, '0.0001 inch', 'm'];
        yield [Unit::Millimetre, 'mm', 'm'];
        yield [Unit::PoundForce, 'lbf', 'N'];
        yield [Unit::KilogramForce, 'kgf', 'N'];
        yield [Unit::PoundForcePerInch, 'lbf/inch', 'N/m'];
        yield [Unit::NewtonPerMillimetre, 'N/mm', 'N/m'];
        yield [Unit::KilopoundPerSquareInch, '1000 psi', 'Pa'];
        yield [Unit::Megapascal, 'MPa', 'Pa'];
        yield [Unit::PoundPerSquareInch, 'psi', 'Pa'];
        yield [Unit::Bar, 'bar', 'Pa'];
        yield [Unit::KilometrePerHour, 'km/hour', 'm/s'];
        yield [Unit::MilePerHour, 'mile/hour', 'm/s'];
        yield [Unit::Kilopascal, 'kPa', 'Pa'];
        yield [Unit::Gram, 'gram', 'kg'];
        yield [Unit::CubicCentimetre, 'cc', 'm^3'];
        yield [Unit::SquareMillimetrePerSecond, 'mm^2/s', 'm^2/s'];
        yield [Unit::SquareCentimetre, 'cm^2', 'm^2'];
        yield [Unit::SquareInch, 'inch^2', 'm^2'];
        yield [Unit::Microinch, 'microinch', 'micrometer'];
        yield [Unit::MillipascalSecond, 'centipoise', 'Pa s'];
        yield [Unit::GramPerCubicCentimetre, 'g/cc', 'kg/m^3'];
        yield [Unit::InchPerSquareDegree, 'inch/degree^2', 'm/degree^2'];
    }

    /** [pub: NIST SP 811, by way of GNU units] */
    #[DataProvider('units')]
    public function testUnitsAgreeWithGnuUnits(Unit $unit, string $from, string $to): void
    {
        $factor = trim(
            (string) shell_exec(
                \sprintf('units --terse --output-format %s %s %s', escapeshellarg('%.16g'), escapeshellarg($from), escapeshellarg($to)),
            ),
        );
        self::assertIsNumeric($factor);
        self::assertEqualsWithDelta((float) $factor, $unit->baseFactor(), 1e-13 * (float) $factor);
    }

    public function testTheNormalDistributionAgreesWithSciPy(): void
    {
        $points = [-9.0, -6.5, -4.2, -3.999, -2.0, -0.7, 0.0, 0.3, 1.96, 3.999, 4.0, 5.5, 8.0];
        $reference = self::python(
            'import sys, json; from scipy.stats import norm; print(json.dumps([norm.cdf(x) for x in json.load(sys.stdin)]))', $points,
        );
        foreach ($points as $i => $z) {
            self::assertIsNumeric($reference[$i]);
            self::assertEqualsWithDelta((float) $reference[$i], Normal::below($z), 1e-13 * max(1e-3, (float) $reference[$i]));
        }
    }

    public function testTheQuadratureAgreesWithNumPy(): void
    {
        $reference = self::python(
            'import json, numpy; x, w = numpy.polynomial.legendre.leggauss(8); print(json.dumps([[(a + 1) / 2, b / 2] for a, b in '.
            'zip(x, w)]))',
            [],
        );
        $own = (new \ReflectionClassConstant(\MuteTapper\Core\Cause\LedgerMaker::class, 'QUADRATURE'))->getValue();
        self::assertIsArray($own);
        self::assertEqualsWithDelta($reference, $own, 1e-15);
    }

    /** @return iterable<string, array{Example}> */
    public static function cases(): iterable
    {
        yield 'coil bind' => [Example::pushrodEight()->sees('A2-E1', 'spring', 'coils_bright', 3)
            ->sees('A2-E1', 'spring_seat', 'end_coil_dug', 1)->sees('A2-E1', 'pushrod', 'pushrod_bent', 2)
            ->measures('A2-E1', 'installed_height', '1.720')->measures('A2-E1', 'bind_height', '1.150')
            ->measures('A2-E1', 'net_lift', '0.565')->claims('kind-E', 'installed_height', '1.800')];
        yield 'float, with parts looked at' => [
            Example::bucketFour()
                ->sees('A1-E1', 'seat', 'seat_hammered', 3)->sees('A1-E1', 'valve', 'tip_peened', 2)
                ->looks('A1-E1', 'spring', 'retainer', 'locks', 'lobe', 'valve', 'follower')
                ->sees('engine', 'running', 'overspeed_seen', 0),
        ];
        yield 'dropped valve, hydraulic roller' => [
            Example::hydraulicRollerEight()
                ->sees('A1-E1', 'valve', 'valve_dropped', 4)->sees('A1', 'piston', 'crown_struck', 4)
                ->sees('A1-E1', 'locks', 'lock_ridge_sheared', 3)->sees('engine', 'running', 'sudden_stop', 3),
        ];
    }

    /**
     * Likelihoods of every cause in every place, posterior, regions, verdict and mechanisms agree with a program written apart
     * in Python from the definitions: placed singles and pairs, spread and absence included.
     */
    #[DataProvider('cases')]
    #[DataProvider('standings')]
    #[DataProvider('places')]
    public function testTheJudgementAgreesWithBruteForce(Example $example): void
    {
        $ranking = Assessment::of($example->case(), Example::knowledge())->ranking();
        $reference = self::bruteForce($ranking->model);
        $likelihoods = $probability = $regions = [];
        foreach ($ranking->causes as $ranked) {
            $code = $ranked->cause->code;
            $likelihoods[$code] = array_map($ranking->model->likelihood(...), $ranking->model->placed($code));
            sort($likelihoods[$code]);
            $probability[$code] = $ranked->probability;
            $regions[$code] = $ranking->model->ground->codes($ranked->best->extent->region);
            sort($regions[$code]);
        }
        self::assertEqualsWithDelta(1.0, $ranking->model->likelihood() / $reference['none'], 1e-9);
        foreach ($likelihoods as $code => $own) {
            foreach ($own as $i => $likelihood) {
                self::assertEqualsWithDelta(1.0, $likelihood / $reference['likelihoods'][$code][$i], 1e-9, $code);
            }
        }
        self::assertEqualsWithDelta($reference['probability'], $probability, 1e-9);
        self::assertEqualsWithDelta($reference['unexplained'], $ranking->unexplained, 1e-9);
        $explanations = array_map(static function (Explanation $one): array {
            $causes = $one->causes();
            sort($causes);

            return [$causes, $one->probability];
        }, array_slice($ranking->explanations, 0, 20));
        self::assertEqualsWithDelta($reference['explanations'], $explanations, 1e-9);
        $sorted = static function (array $codes): array {
            sort($codes);

            return $codes;
        };
        $codes = static fn (array $placed): array => $sorted(array_column($placed, 'cause'));
        self::assertSame(
            [$reference['standing'], $reference['leading'], $reference['open'], $reference['established']],
            [
                $ranking->standing()->value, $codes($ranking->named->leading), $codes($ranking->named->open),
                $sorted($ranking->established),
            ],
        );
        foreach (array_slice($ranking->causes, 0, 5) as $ranked) {
            self::assertSame($reference['regions'][$ranked->cause->code], $regions[$ranked->cause->code]);
        }
        self::assertEqualsWithDelta($reference['events'], $ranking->mechanisms(), 1e-9);
    }

    /** @return iterable<string, array{Example}> cases in which the place, the story or an earlier failure weighs */
    public static function places(): iterable
    {
        yield 'reported failed' => [Archetypes::all()['the story places it']['case']];
        yield 'carried from failure to failure' => [Archetypes::all()['only what was carried decides']['case']];
        yield 'new in a run without trouble' => [Archetypes::all()['new in the run without trouble']['case']];
        yield 'a phase toward the piston' => [Archetypes::all()['exhaust cam late, exhausts printed']['case']];
        yield 'a mark outside its region' => [Archetypes::all()['one weak spring does not hammer seven other seats']['case']];
    }

    /** @return iterable<string, array{Example}> cases of each standing */
    public static function standings(): iterable
    {
        yield 'nothing recorded' => [Example::pushrodEight()];
        yield 'one trace' => [Example::pushrodEight()->sees('A1-E1', 'valve', 'tip_peened', 1)];
        yield 'open between roots' => [
            Example::pushrodEight()->sees('A2-E1', 'spring', 'coils_bright', 3)->sees('A2-E1', 'spring_seat', 'end_coil_dug', 2),
        ];
    }

    /**
     * @param list<Link> $links
     *
     * @return list<array<string, mixed>>
     */
    private static function links(array $links): array
    {
        return array_map(static fn (Link $link): array => [
            'from' => $link->parent, 'w' => $link->probability, 'when' => $link->when, 'at' => $link->at?->value,
        ], $links);
    }

    /**
     * @return array{none: float, likelihoods: array<string, list<float>>, probability: array<string, float>, unexplained: float,
     *     explanations: list<array{list<string>, float}>, regions: array<string, list<string>>, standing: string,
     *     leading: list<string>, open: list<string>, established: list<string>, events: array<string, float>}
     */
    private static function bruteForce(Model $model): array
    {
        $links = self::links(...);
        $stations = [];
        foreach ($model->ground->stations as $code) {
            [$cylinder, $valve] = explode('-', $code);
            $stations[] = [$code, $cylinder, $cylinder[0], $valve[0]];
        }
        $signs = array_map(static fn (LaidItem $laid): array => [
            'code' => $laid->item->sign, 'site' => $laid->item->site->value, 'leak' => $laid->item->leak, 'gross' => $laid->item->isGross,
            'report' => $laid->item->isReport, 'relative' => $laid->item->isRelative,
            'bench' => $laid->item->kind === ItemKind::Bench, 'sites' => $laid->item->sites,
            'parents' => $links($model->network->signLinks[$laid->item->sign] ?? []),
        ], $model->items);

        [$reference] = self::python((string) file_get_contents(__DIR__.'/brute_force.py'), [
            'stations' => $stations, 'failed' => $model->failed, 'signs' => $signs, 'carried' => (object) $model->carryOver->counts,
            'causes' => array_map(static fn (Cause $cause): array => [
                'code' => $cause->code, 'prior' => $model->priors[$cause->code], 'scopes' => $cause->scopes, 'forms' => $cause->forms,
                'resides' => $cause->residesIn,
            ], array_values($model->network->causes)),
            'events' => array_map(static fn (Event $event): array => [
                'code' => $event->code, 'mode' => $event->mode->value, 'parents' => $links($event->parents),
            ], array_values($model->network->events)),
        ]);
        self::assertIsArray($reference);

        return $reference; // @phpstan-ignore return.type (what the other program prints)
    }
}
