<?php

declare(strict_types=1);

namespace MuteTapper\Tests\App;

use MuteTapper\Core\Document\Node;

/** Every sheet by the one family of routes: laid out, filled, judged, explained, reported. */
final class SheetTest extends AppTestCase
{
    private string $case;

    protected function setUp(): void
    {
        parent::setUp();
        $this->case = '/api/cases/'.$this->newCase();
    }

    private function reads(string $place, string $part, string $item, ?string $index, string $text, ?string $at = null): void
    {
        $slot = $index === null ? [$place, $part, $item] : [$place, $part, $item, $index];
        $this->send(
            'POST', $this->case.'/entries',
            self::entry('reading', $slot, ['text' => $text] + ($at === null ? [] : ['atText' => $at])), 201,
        );
    }

    private function layout(string $code): Node
    {
        foreach ($this->sheets() as $layout) {
            if ($layout->get('code')->text() === $code) {
                return $layout;
            }
        }
        self::fail('There is no sheet '.$code);
    }

    /** @return list<Node> */
    private function sheets(): array
    {
        return Node::root($this->send('GET', $this->case.'/sheets'))->items();
    }

    /** @return list<string> */
    private static function texts(Node $list, string $member): array
    {
        return array_map(static fn (Node $one): string => $one->get($member)->text(), $list->items());
    }

    private function margin(string $quantity, string $place, ?string $index = null): Node
    {
        foreach (self::at($this->send('GET', $this->case.'/margins?quantity='.$quantity), 'margins')->items() as $margin) {
            if ($margin->get('place')->text() === $place && $margin->maybe('coil')?->text() === $index) {
                return $margin;
            }
        }
        self::fail(sprintf('No margin %s at %s', $quantity, $place));
    }

    public function testSheetsAreLaidOutForTheirEngine(): void
    {
        $codes = array_map(static fn (Node $one): string => $one->get('code')->text(), $this->sheets());
        self::assertSame([
            'build', 'cam_card', 'cylinders', 'pulls', 'cams', 'engine_tests', 'clocks', 'springs', 'loose_springs', 'heights',
            'height_sources', 'pockets', 'wire', 'valves', 'guides', 'seals', 'seats', 'retainers', 'followers', 'lobes', 'rockers',
            'noses', 'films', 'masses', 'held_shut',
            'pistons', 'chambers',
        ], $codes);
        $springs = $this->layout('springs');
        self::assertSame(['outer', 'inner', 'damper'], self::texts($springs->get('faces'), 'code'));
        self::assertSame(['{face}'], $springs->get('columns')->items()[0]->get('index')->words());
        self::assertCount(16, $springs->get('rows')->items());
        $cylinders = $this->layout('cylinders');
        self::assertSame(['1', '2', '3', '4', '5', '6', '7', '8'], self::texts($cylinders->get('rows'), 'label'));
        $guides = $this->layout('guides');
        self::assertSame(['along', 'across'], self::texts($guides->get('lines'), 'code'));
        self::assertSame(
            [
                'stem diameter top', 'stem diameter middle', 'stem diameter bottom', 'guide bore top', 'guide bore middle',
                'guide bore bottom',
            ],
            self::texts($guides->get('columns'), 'name'),
        );
        self::assertSame(['top', '{line}'], $guides->get('columns')->items()[3]->get('index')->words());
    }

    public function testAHydraulicEngineHasNoLashToTake(): void
    {
        $codes = static fn (Node $layout): array => self::texts($layout->get('columns'), 'code');
        self::assertContains('lash', $codes($this->layout('pulls')));
        $engine = ['layout' => 'vee', 'drive' => 'pushrod', 'cylinders' => 8, 'lash' => 'hydraulic'];
        $this->send('PUT', $this->case.'/engine?by=tests', $engine, 200, ['If-Match' => '"1"']);
        self::assertNotContains('lash', $codes($this->layout('pulls')));
        self::assertNotContains('lash', $codes($this->layout('heights')));
    }

    public function testASheetThatIsNotThereIsSaidNotToBe(): void
    {
        $problem = $this->send('GET', $this->case.'/sheets/horn', null, 404);
        self::assertSame('This engine has no sheet “horn”.', $problem['detail']);
        $this->send('GET', $this->case.'/trace/A1-E1/horn', null, 404);
        $this->send('GET', $this->case.'/trace/Z9/travel_to_bind', null, 404);
    }

    /** The sheet that is a declaration alone: read in tenths, judged by kind of valve, explained, reported, counted. */
    public function testStemsAndGuidesGoAllTheWay(): void
    {
        foreach (['A1-I1' => '0.3435', 'A1-E1' => '0.3429', 'A2-E1' => '0.3460'] as $place => $bore) {
            $this->reads($place, 'valve', 'stem_diameter', 'top.along', '0.3417');
            $this->reads($place, 'guide', 'guide_bore', 'top.along', $bore);
        }
        self::assertSame(['18 ± 3 tenths', 'inside'], $this->shown('A1-I1'));
        self::assertSame(['12 ± 3 tenths', 'outside'], $this->shown('A1-E1'));
        self::assertSame(['43 ± 3 tenths', 'outside'], $this->shown('A2-E1'));
        self::assertSame('10 to 27 tenths', $this->margin('stem_clearance', 'A1-I1')->get('limitWords')->text());
        self::assertSame('15 to 30 tenths', $this->margin('stem_clearance', 'A1-E1')->get('limitWords')->text());
        $sheet = $this->send('GET', $this->case.'/sheets/guides');
        self::assertSame(
            ['Guide before seat: put the guides right before the seats are judged or cut, at 1E, 3E.'],
            self::at($sheet, 'remarks')->words(),
        );
        $head = self::at($this->send('GET', $this->case.'/margins?quantity=stem_clearance'), 'columns')->items()[0];
        self::assertSame('I 10 to 27 tenths; E 15 to 30 tenths', $head->get('limitWords')->text());

        $trace = $this->send('GET', $this->case.'/trace/A2-E1/stem_clearance');
        self::assertSame('guide bore − stem diameter', $trace['formula']);
        self::assertSame(['0.3460 ± 0.0002 in', '0.3417 ± 0.0001 in'], array_map(
            static fn (Node $input): string => $input->get('value')->get('shown')->text(), self::at($trace, 'inputs')->items(),
        ));
        $this->client->request('GET', $this->case.'/report.html');
        $report = (string) $this->client->getResponse()->getContent();
        self::assertStringContainsString('stem in guide', $report);
        self::assertStringContainsString('43 ± 3 tenths', $report);
        self::assertStringContainsString('Stems and guides', $report);
    }

    /** @return array{string, string} */
    private function shown(string $place): array
    {
        $margin = $this->margin('stem_clearance', $place);

        return [$margin->get('value')->get('shown')->text(), $margin->get('verdict')->text()];
    }

    public function testAMetricCaseReadsGuidesInMicrometres(): void
    {
        $settings = ['units' => 'metric', 'school' => 'usual'];
        $story = ['words' => 'x', 'failed' => []];
        $this->send(
            'PUT', $this->case.'/description', ['name' => 'Metric', 'story' => $story, 'settings' => $settings, 'by' => 'tests'],
            200, ['If-Match' => '"1"'],
        );
        $this->reads('A1-I1', 'valve', 'stem_diameter', 'middle.across', '8.680');
        $this->reads('A1-I1', 'guide', 'guide_bore', 'middle.across', '8.725');
        self::assertSame(['0.045 ± 0.007 mm', 'inside'], $this->shown('A1-I1'));
        self::assertSame(['mm'], array_values(array_unique(self::texts($this->layout('guides')->get('columns'), 'unit'))));
    }

    public function testTheMakersWindowIsStatedWithTheBuild(): void
    {
        $this->reads('A1-I1', 'valve', 'stem_diameter', 'top.along', '0.3417');
        $this->reads('A1-I1', 'guide', 'guide_bore', 'top.along', '0.3435');
        $claim = self::entry('claim', ['kind-I', 'guide', 'claimed.stem_clearance.most'], ['text' => '12 tenths', 'standing' => 'known']);
        $this->send('POST', $this->case.'/entries', $claim, 201);
        self::assertSame('outside', $this->shown('A1-I1')[1]);
        self::assertSame('maker', $this->margin('stem_clearance', 'A1-I1')->get('school')->text());
    }

    public function testAReadingUnderNoIndexOfItsColumnIsRefused(): void
    {
        $entry = self::entry('reading', ['A1-I1', 'guide', 'guide_bore', 'sideways'], ['text' => '0.3435']);
        $problem = $this->send('POST', $this->case.'/entries', $entry, 422);
        self::assertSame('/slot/index', $problem['pointer']);
        self::assertIsString($problem['detail']);
        self::assertStringContainsString('goes by depth and direction', $problem['detail']);
        $stored = self::at($this->send('GET', $this->case), 'entries')->items();
        self::assertSame([], $stored);
    }

    /** Margins of the tests before the teardown are explained like those of the bench. */
    public function testTheTestsBeforeTheTeardownHaveTheirReasoning(): void
    {
        foreach (['A1' => '180', 'A2' => '182', 'A3' => '178', 'B1' => '95'] as $cylinder => $psi) {
            $this->reads($cylinder, 'chamber', 'compression', null, $psi);
        }
        self::assertSame('outside', $this->margin('compression_share', 'B1')->get('verdict')->text());
        $trace = $this->send('GET', $this->case.'/trace/B1/compression_share');
        self::assertGreaterThan(1, count(self::at($trace, 'inputs')->items()));
        self::assertSame([], self::at($this->send('GET', $this->case.'/margins?step=story'), 'margins')->items());
        $quantities = self::texts(self::at($this->send('GET', $this->case.'/margins?step=before'), 'margins'), 'quantity');
        self::assertContains('compression_share', $quantities);
        self::assertNotContains('travel_to_bind', $quantities);
    }

    public function testTheOverlapPartnerIsNamedOnlyWhereTheEngineIsKnownToFireEvenly(): void
    {
        $stop = fn (): string => self::at($this->send('GET', $this->case.'/lash-order'), 'order')->items()[0]->get('words')->text();
        self::assertStringEndsWith('both its lobes point away from their followers.', $stop());
        $engine = ['layout' => 'vee', 'drive' => 'pushrod', 'cylinders' => 8, 'firingOrder' => [1, 8, 4, 3, 6, 5, 7, 2]];
        $put = fn (array $more, int $version): array => $this->send(
            'PUT', $this->case.'/engine?by=tests', $engine + $more, 200, ['If-Match' => '"'.$version.'"'],
        );
        $put([], 1);
        self::assertStringEndsWith('If the engine fires evenly, cylinder 6 rocks at overlap.', $stop());
        $put(['firingAngles' => [0, 90, 180, 270, 360, 450, 540, 630]], 2);
        self::assertStringEndsWith('both valves shut: cylinder 6 rocks at overlap.', $stop());
        $put(['firingAngles' => [0, 90, 180, 250, 360, 450, 540, 630]], 3);
        self::assertStringNotContainsString('rocks', $stop());
        $problem = $this->send(
            'PUT', $this->case.'/engine?by=tests', $engine + ['firingAngles' => [0, 90]], 422, ['If-Match' => '"4"'],
        );
        self::assertSame('/firing_angles', $problem['pointer']);
        self::assertSame(4, $this->send('GET', $this->case)['engineVersion'], 'Nothing was written.');
    }

    public function testALoadOfTwoSpringsIsClaimedTogether(): void
    {
        foreach ([['outer', '90', '1.800'], ['inner', '40', '1.740']] as [$coil, $load, $height]) {
            $this->reads('A1-E1', 'spring', 'load_seat', $coil, $load, $height);
        }
        foreach ([['outer', '240', '1.200'], ['inner', '110', '1.140']] as [$coil, $load, $height]) {
            $this->reads('A1-E1', 'spring', 'load_open', $coil, $load, $height);
        }
        $this->reads('A1-E1', 'spring_seat', 'installed_height', null, '1.800');
        $this->reads('A1-E1', 'retainer', 'inner_step', null, '0.060');
        $claim = ['text' => '160', 'atText' => '1.800', 'standing' => 'known'];
        $this->send('POST', $this->case.'/entries', self::entry('claim', ['kind-E', 'spring', 'claimed.load_seat', 'pair'], $claim), 201);
        $margin = $this->margin('load_from_claim', 'A1-E1', 'pair');
        self::assertSame(['-18.8', 'outside'], [$margin->get('value')->get('figure')->text(), $margin->get('verdict')->text()]);
    }

    public function testImpossibleFiguresAreRefusedInWords(): void
    {
        foreach ([
            ['A1', 'chamber', 'leak_down', 'cold', '104', 'not plausible'],
            ['A1', 'chamber', 'compression', null, '-5', 'not plausible'],
        ] as [$place, $part, $item, $index, $text, $words]) {
            $slot = $index === null ? [$place, $part, $item] : [$place, $part, $item, $index];
            $problem = $this->send('POST', $this->case.'/entries', self::entry('reading', $slot, ['text' => $text]), 422);
            self::assertIsString($problem['detail']);
            self::assertStringContainsString($words, $problem['detail']);
        }
    }

    public function testWhatAFileSaidOfTheBuildStaysWhenTheEngineIsEdited(): void
    {
        $document = Node::root($this->send('GET', $this->case.'/case.json'))->map();
        $case = Node::root($document)->get('case')->map();
        $engine = ['flags' => ['vct' => 'no']] + Node::root($document)->get('engine')->map();
        $stored = $this->send('POST', '/api/cases/import?by=tests&copy=true', ['case' => $case, 'engine' => $engine] + $document, 201);
        $copy = '/api/cases/'.self::at($stored, 'id')->text();
        $put = ['layout' => 'vee', 'drive' => 'pushrod', 'cylinders' => 8, 'rockerRatio' => 1.6];
        $this->send('PUT', $copy.'/engine?by=tests', $put, 200, ['If-Match' => '"1"']);
        $after = $this->send('GET', $copy.'/case.json');
        self::assertSame(['vct' => 'no'], self::at($after, 'engine/flags')->map());
        self::assertSame(1.6, self::at($after, 'engine/rocker_ratio')->number());
    }

    /**
     * @param array<string, string> $schools
     *
     * @return array<mixed>
     */
    private function settle(string $school, array $schools, int $version, int $status = 200): array
    {
        return $this->send(
            'PUT', $this->case.'/description',
            [
                'name' => 'Schools', 'story' => ['words' => 'x', 'failed' => []], 'by' => 'tests',
                'settings' => ['units' => 'inch', 'school' => $school, 'schools' => $schools],
            ],
            $status, ['If-Match' => '"'.$version.'"'],
        );
    }

    /** The school of the case is that of travel to bind; every other limit may follow a school of its own. */
    public function testASchoolRulesTheCaseOrOneLimit(): void
    {
        $this->reads('A1-E1', 'spring_seat', 'installed_height', null, '1.800');
        $this->reads('A1-E1', 'spring', 'bind_height', 'outer', '1.145');
        $this->reads('A1-E1', 'valve', 'net_lift', null, '0.584');
        $travel = fn (): array => [
            $this->margin('travel_to_bind', 'A1-E1', 'outer')->get('school')->text(),
            $this->margin('travel_to_bind', 'A1-E1', 'outer')->get('verdict')->text(),
        ];
        self::assertSame(['usual', 'inside'], $travel());
        $this->settle('roomy', [], 1);
        self::assertSame(['roomy', 'outside'], $travel());
        foreach (['A1' => '180', 'B1' => '150'] as $cylinder => $psi) {
            $this->reads($cylinder, 'chamber', 'compression', null, $psi);
        }
        $share = fn (): string => $this->margin('compression_share', 'B1')->get('school')->text();
        self::assertSame('production', $share());
        $this->settle('close', ['compression_share' => 'race'], 2);
        self::assertSame('race', $share());
        self::assertSame(['close', 'inside'], $travel());
        self::assertSame('/settings/schools/compression_share', $this->settle('close', ['compression_share' => 'horn'], 3, 422)['pointer']);
        $others = $this->margin('travel_to_bind', 'A1-E1', 'outer')->get('schools')->words();
        self::assertContains('production', $others, 'One spring stands there: the school of single springs is offered.');
        $this->reads('A1-E1', 'spring', 'bind_height', 'inner', '1.050');
        $dual = $this->margin('travel_to_bind', 'A1-E1', 'outer')->get('schools')->words();
        self::assertNotContains('production', $dual, 'A reading of an inner spring makes it a dual one.');
    }

    public function testAMarginThatRestsOnAClaimIsShownAsClaimedAndNotJudged(): void
    {
        $this->reads('A1-E1', 'valve', 'net_lift', null, '0.584');
        $claims = ['spring_seat' => ['claimed.installed_height', '1.800'], 'spring' => ['claimed.bind_height', '1.120']];
        foreach ($claims as $part => [$item, $text]) {
            $slot = $part === 'spring' ? ['kind-E', $part, $item, 'outer'] : ['kind-E', $part, $item];
            $this->send('POST', $this->case.'/entries', self::entry('claim', $slot, ['text' => $text, 'standing' => 'said']), 201);
        }
        $margin = $this->margin('travel_to_bind', 'A1-E1', 'outer');
        self::assertSame('not_measured', $margin->get('verdict')->text());
        self::assertStringContainsString('0.096', $margin->get('asClaimed')->get('shown')->text());
        self::assertContains('installed height', $margin->get('missing')->words());
    }

    public function testTakingAReadingBackTakesItsMarginBack(): void
    {
        foreach (['stem_diameter' => ['valve', '0.3417'], 'guide_bore' => ['guide', '0.3460']] as $item => [$part, $text]) {
            $this->reads('A1-E1', $part, $item, 'top.along', $text);
        }
        self::assertSame('outside', $this->shown('A1-E1')[1]);
        $entries = self::at($this->send('GET', $this->case), 'entries')->items();
        $bore = array_values(array_filter($entries, static fn (Node $one): bool => $one->get('item')->text() === 'guide_bore'))[0];
        $withdrawal = self::entry(
            'withdrawal', ['A1-E1', 'guide', 'guide_bore', 'top.along'], [], ['supersedes' => $bore->get('id')->text()],
        );
        $this->send('POST', $this->case.'/entries', $withdrawal, 201);
        $margin = $this->margin('stem_clearance', 'A1-E1');
        self::assertSame('not_measured', $margin->get('verdict')->text());
        self::assertContains('guide bore', $margin->get('missing')->words());
        self::assertSame([], self::at($this->send('GET', $this->case.'/sheets/guides'), 'remarks')->words());
    }

    /** Of a sheet that nobody began, the field shows nothing; of one that was, also what is still to be measured. */
    public function testTheFieldShowsSheetsThatWereBegun(): void
    {
        $heads = fn (): array => array_values(array_unique(
            self::texts(self::at($this->send('GET', $this->case.'/margins?step=bench'), 'columns'), 'quantity'),
        ));
        self::assertNotContains('stem_clearance', $heads());
        self::assertContains('travel_to_bind', $heads());
        $this->reads('A1-E1', 'valve', 'stem_diameter', 'top.along', '0.3417');
        self::assertContains('stem_clearance', $heads());
    }

    public function testAReadingMovesTheProgressOfItsStep(): void
    {
        $bench = fn (): Node => array_values(array_filter(
            self::at($this->send('GET', $this->case), 'steps')->items(),
            static fn (Node $step): bool => $step->get('code')->text() === 'bench',
        ))[0];
        self::assertSame(0.0, $bench()->get('done')->number());
        $this->reads('A1-E1', 'spring_seat', 'installed_height', null, '1.800');
        $this->reads('A1-E1', 'spring', 'bind_height', 'outer', '1.145');
        $this->reads('A1-E1', 'spring', 'load_seat', 'outer', '120', '1.800');
        self::assertGreaterThan(0.0, $bench()->get('done')->number());
        self::assertSame('1 of 16 springs', $bench()->get('left')->text());
    }

    public function testWhatIsAskedForAndIsNotThereIsSaidInWords(): void
    {
        foreach (['/ledger/horn', '/trace/A1-E1/travel_to_bind?index=sideways'] as $address) {
            $problem = $this->send('GET', $this->case.$address, null, 404);
            self::assertIsString($problem['detail'], $address);
            self::assertNotSame('', $problem['detail'], $address);
        }
        self::assertSame([], self::at($this->send('GET', $this->case.'/margins?quantity=horn'), 'margins')->items());
    }

    /** Several places of one part: the worst is judged, each has its stroke, and the reasoning is that of the worst. */
    public function testTheWorstOfAGuideIsJudgedAndExplained(): void
    {
        foreach (['top.along' => '0.3437', 'bottom.along' => '0.3455'] as $index => $bore) {
            $this->reads('A1-E1', 'valve', 'stem_diameter', $index, '0.3417');
            $this->reads('A1-E1', 'guide', 'guide_bore', $index, $bore);
        }
        $margin = $this->margin('stem_clearance', 'A1-E1');
        self::assertSame('38 ± 3 tenths', $margin->get('value')->get('shown')->text());
        self::assertCount(2, $margin->get('strokes')->items());
        $bore = self::at($this->send('GET', $this->case.'/trace/A1-E1/stem_clearance'), 'inputs')->items()[0];
        self::assertSame('0.3455 ± 0.0002 in', $bore->get('value')->get('shown')->text());
    }

    public function testWritingAnEditionTwiceWritesItOnce(): void
    {
        [$status, $output] = self::command('knowledge:edition');
        self::assertSame(0, $status);
        self::assertSame([$status, $output], self::command('knowledge:edition'));
    }

    /** The limit over a column is the one that judges: the maker's, once it is stated, beside the school's where it holds for some. */
    public function testTheMakersLimitStandsOverItsColumn(): void
    {
        $case = '/api/cases/'.$this->newCase();
        $words = function () use ($case): string {
            foreach (Node::root($this->send('GET', $case.'/sheets'))->items() as $sheet) {
                foreach ($sheet->get('margins')->items() as $margin) {
                    if ($margin->get('quantity')->text() === 'retainer_to_seal') {
                        return $margin->get('limitWords')->text();
                    }
                }
            }
            self::fail('no column');
        };
        self::assertSame('at least 0.050 in', $words());
        $state = fn (string $place, string $text): array => $this->send('POST', $case.'/entries', self::entry(
            'claim', [$place, 'spring_seat', 'maker.retainer_to_seal.least'], ['text' => $text, 'standing' => 'known'],
        ), 201);
        $state('kind-E', '0.300');
        self::assertSame('I at least 0.050 in; E at least 0.300 in', $words());
        $state('A1-I1', '0.200');
        self::assertStringContainsString('at least 0.200 in or at least 0.050 in', $words());
    }
}
