<?php

declare(strict_types=1);

namespace MuteTapper\Tests\App;

use MuteTapper\App\Assessment\SolveLong;
use MuteTapper\App\Assessment\SolveLongHandler;
use MuteTapper\App\RunLog\AnalyseLog;
use MuteTapper\App\RunLog\AnalyseLogHandler;
use MuteTapper\Core\Document\Node;
use MuteTapper\Core\Motion\CamCard;
use Symfony\Component\Uid\Uuid;

/** What a valve did at speed, over the door of the program: worked out outside the request, tried, and told in tables. */
final class MotionTest extends AppTestCase
{
    private const AT = 'A1-E1';
    private const FOUR = [
        'layout' => 'inline', 'drive' => 'bucket', 'face' => 'flat', 'lash' => 'solid', 'cylinders' => 1, 'intendedSpeed' => 9200,
        'reachedSpeed' => 9800,
    ];
    private const READ = [
        ['valve', 'valve_mass', '44.6'], ['retainer', 'retainer_mass', '10.8'], ['locks', 'lock_mass', '2.1'],
        ['spring', 'spring_mass', '58'], ['follower', 'follower_mass', '55.2'], ['lobe', 'lobe_lift', '0.4202'],
        ['valve', 'net_lift', '0.410'], ['valve', 'lash', '0.0095'],
    ];

    private const CARD = ['card_high_duration' => '255', 'card_low_duration' => '288', 'ramp_height' => '0.010', 'ramp_rate' => '0.0004'];

    private string $case = '';

    public function testWhatIsMissingOfATrainIsNamed(): void
    {
        $this->begin();
        $motion = $this->motion();
        self::assertNull($motion->get('sweep')->raw());
        self::assertContains('card: advertised duration', $motion->get('missing')->words());
        // What nobody weighed is a guess, and is said to be one.
        $masses = array_column(self::rows($motion->get('figures')), 'isGuess', 'name');
        self::assertTrue($masses['valve_mass'] ?? null);
    }

    public function testATrainIsSweptTurnedAndTriedAndNothingIsRecorded(): void
    {
        $this->fill();
        $motion = $this->motion();
        $float = self::threshold($motion, 'float', 'found') ?? 0.0;
        self::assertEqualsWithDelta(9560, $float, 40);
        self::assertNull(self::threshold($motion, 'float', 'tried'));
        self::assertSame(count($motion->get('speeds')->items()), count($motion->get('sweep')->get('loft')->items()));
        self::assertGreaterThan($motion->get('floatLoft')->number(), self::greatest($motion->get('sweep')->get('loft')));

        $change = [['places' => [self::AT], 'name' => 'retainer_mass', 'to' => ['number' => 6.0, 'unit' => 'g']]];
        $tried = $this->motion($change);
        self::assertSame($float, self::threshold($tried, 'float', 'found'));
        self::assertGreaterThan($float + 80, self::threshold($tried, 'float', 'tried'));
        self::assertSame($motion->get('figures')->raw(), $this->motion()->get('figures')->raw());

        $url = sprintf('%s/motion/%s/turn?speed=%d', $this->case, self::AT, $float + 300);
        $turn = Node::root($this->send('GET', $url));
        self::assertGreaterThan(0.0, $turn->get('lost')->number());
        self::assertGreaterThan($turn->get('fullLift')->number(), self::greatest($turn->get('lift')));
        self::assertSame('/speed', Node::root($this->send(
            'GET', sprintf('%s/motion/%s/turn?speed=5', $this->case, self::AT), status: 422,
        ))->get('pointer')->text());
    }

    public function testWhatTakesLongIsWorkedOutOnceAndHeardByTheJudgement(): void
    {
        $this->fill();
        self::assertNull($this->margin()->maybe('value')?->raw());
        self::assertFalse($this->motion()->get('isSolved')->flag());
        self::assertSame('waiting', Node::root($this->send('POST', $this->case.'/solving', [], status: 202))->get('state')->text());
        $this->solve();
        $solving = Node::root($this->send('GET', $this->case.'/solving'));
        self::assertSame('done', $solving->get('state')->text());
        self::assertSame($solving->get('total')->number(), $solving->get('done')->number());
        $motion = $this->motion();
        self::assertTrue($motion->get('isSolved')->flag());
        self::assertGreaterThan(500.0, self::threshold($motion, 'float', 'plusMinus'));
        // 9560 of float, 9800 seen: within what is not known of the train.
        self::assertSame('cannot_tell', $this->margin()->get('verdict')->text());
        // The same figures elsewhere are known at once.
        $this->fill();
        self::assertTrue($this->motion()->get('isSolved')->flag());
    }

    public function testACancelledSolvingStopsAndStays(): void
    {
        $this->fill();
        $this->send('POST', $this->case.'/solving', [], status: 202);
        self::assertSame('cancelled', Node::root($this->send('DELETE', $this->case.'/solving'))->get('state')->text());
        $this->solve();
        self::assertSame('cancelled', Node::root($this->send('GET', $this->case.'/solving'))->get('state')->text());
        self::assertFalse($this->motion()->get('isSolved')->flag());
    }

    public function testEveryComputedPointIsInTheTables(): void
    {
        $this->fill();
        $motion = $this->motion();
        $counted = ['lift' => $motion->get('lobe')->get('lift'), 'sweep' => $motion->get('speeds')];
        $turn = Node::root($this->send('GET', sprintf('%s/motion/%s/turn?speed=9000', $this->case, self::AT)));
        self::assertCount(count($turn->get('degrees')->items()) + 1, $this->table('turn.csv?speed=9000'));
        $this->send('GET', sprintf('%s/motion/%s/turn.csv?speed=90000', $this->case, self::AT), status: 422);
        foreach ($counted as $table => $list) {
            $points = count($list->items());
            self::assertCount($points + 1, $this->table($table.'.csv'), $table);
        }
    }

    /** A card leaves open how its flanks are made: little of the lift, much of the acceleration. */
    public function testWhatACardLeavesOpenOfItsLobeLiesAboutIt(): void
    {
        $this->fill();
        $motion = $this->motion();
        $below = $above = [];
        foreach (['lift', 'velocity', 'acceleration', 'jerk'] as $of) {
            $curve = array_map(static fn (Node $one): float => $one->number(), $motion->get('lobe')->get($of)->items());
            self::assertNotSame([], $curve);
            $below[$of] = $above[$of] = 0.0;
            foreach ($motion->get('lobeBand')->get($of)->items() as $i => $band) {
                [$least, $most] = array_map(static fn (Node $one): float => $one->number(), $band->items());
                self::assertTrue($least <= $curve[$i] && $curve[$i] <= $most, "{$of} {$i}");
                $below[$of] = max($below[$of], ($curve[$i] - $least) / max($curve));
                $above[$of] = max($above[$of], ($most - $curve[$i]) / max($curve));
            }
        }
        foreach ([$below, $above] as $side) {
            self::assertGreaterThan(0.002, $side['lift']);
            self::assertLessThan(0.03, $side['lift']);
            self::assertGreaterThan(0.1, $side['acceleration']);
        }
        $rows = $this->table('lift.csv');
        $most = $motion->get('lobeBand')->get('acceleration')->items()[60]->items()[1]->number();
        self::assertSame($most, (float) str_getcsv($rows[61], ',', '"', '')[11]);
    }

    public function testThePistonUnderTheValvesOfACylinder(): void
    {
        $this->fill();
        $missing = Node::root($this->send('GET', $this->case.'/motion/'.self::AT.'/piston'))->get('valves')->items()[0];
        self::assertSame([], $missing->get('found')->items());
        self::assertContains('rod length', $missing->get('missing')->words());

        $entries = [];
        $build = ['stroke' => '2.750', 'rod_length' => '4.900', 'deck_clearance' => '0.008', 'gasket_thickness' => '0.035'];
        foreach ($build as $item => $text) {
            $entries[] = self::entry('claim', ['engine', 'piston', 'claimed.'.$item], ['text' => $text, 'standing' => 'known']);
        }
        $entries[] = self::entry('claim', ['engine', 'chamber', 'claimed.exhaust_valve_angle'], ['text' => '15', 'standing' => 'known']);
        $entries[] = self::entry('claim', ['kind-E', 'lobe', 'claimed.card_centre'], ['text' => '108', 'standing' => 'known']);
        $entries[] = self::entry('reading', [self::AT, 'piston_relief', 'relief_depth'], ['text' => '0.165']);
        $entries[] = self::entry('reading', [self::AT, 'valve', 'valve_recess'], ['text' => '0.035']);
        foreach ($entries as $entry) {
            $this->send('POST', $this->case.'/entries', $entry, 201);
        }
        $piston = Node::root($this->send('GET', $this->case.'/motion/'.self::AT.'/piston?phase=-4'));
        $exhaust = $piston->get('valves')->items()[0];
        self::assertNull($exhaust->get('measured')->raw());
        [$found, $tried] = [$exhaust->get('foundLeast'), $exhaust->get('triedLeast')];
        self::assertEqualsWithDelta(-9.0, $found->get('degree')->number(), 1.5);
        // A late cam brings the exhaust nearer, by some five thou a degree of so small an engine.
        self::assertEqualsWithDelta(4 * 0.005, $found->get('clearance')->number() - $tried->get('clearance')->number(), 0.004);
        self::assertSame(count($piston->get('phases')->items()), count($exhaust->get('least')->items()));
        self::assertEqualsWithDelta(0.100, $exhaust->get('limits')->get('traditional')->number(), 1e-9);

        // Clay fixes the level, and the curve keeps its shape.
        $clay = self::entry('reading', [self::AT, 'piston_relief', 'piston_to_valve'], ['text' => '0.090']);
        $this->send('POST', $this->case.'/entries', $clay, 201);
        $fixed = Node::root($this->send('GET', $this->case.'/motion/'.self::AT.'/piston'))->get('valves')->items()[0];
        self::assertEqualsWithDelta(0.090, $fixed->get('foundLeast')->get('clearance')->number(), 1e-5);
        foreach (['phase' => '40', 'deeper' => '0.4'] as $name => $figure) {
            $url = sprintf('%s/motion/%s/piston?%s=%s', $this->case, self::AT, $name, $figure);
            self::assertSame('/'.$name, Node::root($this->send('GET', $url, status: 422))->get('pointer')->text());
        }

        // A deeper relief frees the valve by the cosine of its lean, and thins the metal: what that bears only its maker says.
        $metal = self::entry('reading', [self::AT, 'piston_relief', 'metal_to_groove'], ['text' => '0.140']);
        $this->send('POST', $this->case.'/entries', $metal, 201);
        $deeper = Node::root($this->send('GET', $this->case.'/motion/'.self::AT.'/piston?deeper=0.030'));
        $valve = $deeper->get('valves')->items()[0];
        self::assertEqualsWithDelta(0.090 + 0.030 * cos(deg2rad(15)), $valve->get('triedLeast')->get('clearance')->number(), 2e-4);
        self::assertSame('0.110', $valve->get('metalTried')->get('value')->get('figure')->text());
        self::assertSame('cannot_tell', $valve->get('metalTried')->get('verdict')->text());
        self::assertSame('0.140', $valve->get('metal')->get('value')->get('figure')->text());
        // More lash is tried: the clay still says what was found, and the valve opens less.
        $lash = [['places' => [self::AT], 'name' => 'lash', 'by' => ['number' => 0.004, 'unit' => 'in']]];
        $url = $this->case.'/motion/'.self::AT.'/piston?change='.rawurlencode(json_encode($lash, \JSON_THROW_ON_ERROR));
        $looser = Node::root($this->send('GET', $url))->get('valves')->items()[0];
        self::assertEqualsWithDelta(0.090, $looser->get('foundLeast')->get('clearance')->number(), 1e-5);
        self::assertEqualsWithDelta(0.094, $looser->get('triedLeast')->get('clearance')->number(), 3e-4);
        $stations = $deeper->get('stations')->items();
        self::assertSame([self::AT, true], [$stations[0]->get('place')->text(), $stations[0]->get('isMeasured')->flag()]);
        self::assertContains('gap between the heads of intake and exhaust, both shut', $deeper->get('pair')->get('missing')->words());
        self::assertCount(count($deeper->get('degrees')->items()) + 1, $this->table('piston.csv?phase=-4'));
    }

    public function testATableOfLiftsGoesBeforeTheCardUntilItIsTakenBack(): void
    {
        $this->fill();
        $byCard = self::threshold($this->motion(), 'float', 'found') ?? 0.0;
        $inch = 0.0254;
        $card = CamCard::of(0.4202 * $inch, 0.05 * $inch, 255 / 4, 0.02 * $inch, 288 / 4, 0.01 * $inch, 0.0004 * $inch);
        $points = array_map(
            static fn (int $degree): array => [$degree, round($card->lift($degree) / $inch, 4)], range(-94, 94, 2),
        );
        $slot = ['kind-E', 'lobe', 'lift'];
        $few = self::entry('lift', $slot, ['points' => array_slice($points, 0, 20), 'wheel' => 'cam', 'liftUnit' => 'in']);
        $refused = Node::root($this->send('POST', $this->case.'/entries', $few, 422));
        self::assertStringContainsString('at least 24 points; this one has 20', $refused->get('detail')->text());
        self::assertSame('/data/points', $refused->get('pointer')->text());
        $entry = self::entry('lift', $slot, ['points' => $points, 'wheel' => 'cam', 'liftUnit' => 'in']);
        $this->send('POST', $this->case.'/entries', $entry, 201);
        $measured = $this->motion();
        self::assertSame('all exhausts', $measured->get('measured')->get('label')->text());
        self::assertNull($measured->get('lobeBand')->raw(), 'what was measured leaves nothing open');
        self::assertCount(95, $measured->get('measured')->get('lifts')->items());
        self::assertEqualsWithDelta($byCard, self::threshold($measured, 'float', 'found') ?? 0.0, 0.01 * $byCard);
        self::assertSame([], $measured->get('remarks')->words());
        $back = ['id' => Uuid::v7()->toRfc4122()] + self::entry('withdrawal', $slot, []);
        $this->send('POST', $this->case.'/entries', ['supersedes' => $entry['id']] + $back, 201);
        self::assertNull($this->motion()->get('measured')->raw());
    }

    public function testTheCardOfOneLobeAloneGoesBeforeThatOfItsKind(): void
    {
        $this->fill();
        $ofKind = self::threshold($this->motion(), 'float', 'found') ?? 0.0;
        $this->send('POST', $this->case.'/entries', self::entry(
            'claim', [self::AT, 'lobe', 'claimed.card_high_duration'], ['text' => '262', 'standing' => 'known'],
        ), 201);
        $card = array_column(self::rows($this->motion()->get('card')), 'value', 'name');
        self::assertSame('262.0', Node::root($card['card_high_duration'] ?? null)->get('figure')->text());
        self::assertLessThan($ofKind - 100, self::threshold($this->motion(), 'float', 'found') ?? 0.0);
    }

    public function testALobeOfTheLibraryIsTriedWholeAndLeavesNothingOfTheOther(): void
    {
        $this->fill();
        $figures = [['item' => 'lobe_lift', 'text' => '0.4202'], ['item' => 'card_high_duration', 'text' => '275']];
        $figures[] = ['item' => 'card_low_duration', 'text' => '312'];
        $lobe = ['name' => 'Late', 'content' => ['figures' => $figures], 'version' => 0, 'by' => 'tests'];
        $this->send('PUT', '/api/library/lobes/late', $lobe);
        $tried = $this->motion([['places' => [self::AT], 'part' => 'lobe', 'from' => 'shelf-lobes-late']]);
        self::assertSame(
            [['part' => 'lobe', 'from' => 'shelf-lobes-late', 'name' => 'Late', 'isShelved' => true]], self::rows($tried->get('parts')),
        );
        // A longer lobe of the same lift bends less over its nose: it floats later.
        self::assertGreaterThan(
            (self::threshold($tried, 'float', 'found') ?? INF) + 150, self::threshold($tried, 'float', 'tried') ?? 0.0,
        );
        self::assertGreaterThan(count($tried->get('lobe')->get('lift')->items()), count($tried->get('triedLobe')->get('lift')->items()));
    }

    public function testALogIsLaidOverWhatTheTrainCanDo(): void
    {
        $this->fill();
        $float = self::threshold($this->motion(), 'float', 'found') ?? 0.0;
        $rows = ['Time (s),rpm,Throttle (%),Exhaust back pressure (kPa)'];
        for ($i = 0; $i <= 200; ++$i) {
            $speed = $i > 100 && $i < 120 ? $float + 60 : 4000;
            $rows[] = sprintf('%.2F,%.0F,%d,%d', $i / 10, $speed, $i > 150 ? 0 : 100, $i > 180 ? 620 : 20);
        }
        $file = $this->send('POST', $this->case.'/logs', implode("\n", $rows)."\n", 201, [
            'Content-Type' => 'application/octet-stream', 'X-File-Name' => 'heat.csv',
        ]);
        $sha = Node::root($file)->get('sha256')->text();
        $thresholds = ['over_speed' => 9700, 'limiter' => null, 'oil_per_thousand' => 0.69, 'oil_temperature' => 130];
        $analysis = $this->send('POST', "/api/logs/$sha/analyses", ['format' => $file['format'], 'thresholds' => $thresholds], 202);
        $handler = self::getContainer()->get(AnalyseLogHandler::class);
        self::assertInstanceOf(AnalyseLogHandler::class, $handler);
        $handler(new AnalyseLog(Node::root($analysis)->get('id')->text()));
        $use = ['sha256' => $sha, 'fileName' => 'heat.csv', 'format' => $file['format'], 'thresholds' => $thresholds];
        $this->send('POST', $this->case.'/entries', self::entry('log', ['engine', 'timeline', 'log', substr($sha, 0, 16)], $use), 201);
        foreach (['contact_outside' => ['seat', '1.080'], 'stem_diameter' => ['valve', '0.2350', 'middle.along']] as $item => $read) {
            $entry = self::entry('reading', [self::AT, $read[0], $item, ...array_slice($read, 2)], ['text' => $read[1]]);
            $this->send('POST', $this->case.'/entries', $entry, 201);
        }

        $trace = Node::root($this->send('GET', $this->case.'/motion/'.self::AT.'/log'))->get('traces')->items()[0];
        $demands = self::rows($trace->get('demands'));
        self::assertSame(['contact_lost', 'float', 'unseated'], array_column($demands, 'demand'));
        self::assertSame([false, false, true], array_column($demands, 'isOverRun'));
        self::assertSame([true, true, true], array_column($demands, 'isGravest'));
        self::assertEqualsWithDelta(10.1, $demands[1]['from'], 0.11);
        self::assertEqualsWithDelta(12.0, $demands[1]['until'], 0.11);
        self::assertLessThan(0.0, $demands[2]['left']);
        self::assertSame(6.2, $demands[2]['pressure']);
        self::assertSame(count($trace->get('times')->items()), count($trace->get('left')->items()));
    }

    /** @return list<string> lines of a table of this valve */
    private function table(string $table): array
    {
        $this->client->request('GET', sprintf('%s/motion/%s/%s', $this->case, self::AT, $table));

        return explode("\r\n", trim((string) $this->client->getResponse()->getContent()));
    }

    private function begin(): void
    {
        $id = Uuid::v7()->toRfc4122();
        $this->send('POST', '/api/cases', ['id' => $id, 'name' => 'Made-up single', 'by' => 'tests', 'engine' => self::FOUR], 201);
        $this->case = '/api/cases/'.$id;
    }

    private function fill(): void
    {
        $this->begin();
        $entries = [];
        foreach (self::READ as [$part, $item, $text]) {
            $entries[] = self::entry('reading', [self::AT, $part, $item], ['text' => $text]);
        }
        foreach (['load_seat' => ['62', '1.440'], 'load_open' => ['159', '1.030']] as $item => [$text, $at]) {
            $entries[] = self::entry('reading', [self::AT, 'spring', $item, 'outer'], ['text' => $text, 'atText' => $at]);
        }
        $entries[] = self::height('1.440', self::AT);
        foreach (self::CARD as $item => $text) {
            $entries[] = self::entry('claim', ['kind-E', 'lobe', 'claimed.'.$item], ['text' => $text, 'standing' => 'known']);
        }
        foreach ($entries as $entry) {
            $this->send('POST', $this->case.'/entries', $entry, 201);
        }
    }

    /** @param list<array<string, mixed>> $change */
    private function motion(array $change = []): Node
    {
        $query = $change === [] ? '' : '?change='.rawurlencode(json_encode($change, \JSON_THROW_ON_ERROR));

        return Node::root($this->send('GET', $this->case.'/motion/'.self::AT.$query));
    }

    private function margin(): Node
    {
        foreach (Node::root($this->send('GET', $this->case.'/margins?quantity=float_margin'))->get('margins')->items() as $margin) {
            if ($margin->get('place')->text() === self::AT) {
                return $margin;
            }
        }
        self::fail('Float is judged nowhere.');
    }

    /** As the worker does it. */
    private function solve(): void
    {
        $handler = self::getContainer()->get(SolveLongHandler::class);
        self::assertInstanceOf(SolveLongHandler::class, $handler);
        $handler(new SolveLong(basename($this->case)));
    }

    private static function threshold(Node $motion, string $name, string $of): ?float
    {
        foreach ($motion->get('thresholds')->items() as $one) {
            if ($one->get('name')->text() === $name) {
                return $one->get($of)->raw() === null ? null : $one->get($of)->number();
            }
        }
        self::fail('There is no threshold '.$name);
    }

    private static function greatest(Node $list): float
    {
        return array_reduce($list->items(), static fn (float $most, Node $one): float => max($most, $one->number()), -INF);
    }

    /** @return list<array<array-key, mixed>> */
    private static function rows(Node $list): array
    {
        return array_map(static fn (Node $one): array => (array) $one->raw(), $list->items());
    }
}
