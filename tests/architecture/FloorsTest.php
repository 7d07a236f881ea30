<?php

declare(strict_types=1);

namespace MuteTapper\Tests\Architecture;

use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

final class FloorsTest extends TestCase
{
    private const ROOT = __DIR__.'/../..';

    public function testEveryRoomStandsOnOneFloor(): void
    {
        foreach ([FloorPlan::CORE => 'core', FloorPlan::APP => 'src'] as $house => $folder) {
            $folders = glob(self::ROOT.'/'.$folder.'/*', \GLOB_ONLYDIR);
            self::assertIsArray($folders);
            $rooms = array_map(basename(...), $folders);
            $planned = array_merge(...FloorPlan::FLOORS[$house]);
            sort($planned);
            self::assertSame($rooms, $planned, $folder);
        }
    }

    public function testTheDocumentShowsThePlan(): void
    {
        $document = (string) file_get_contents(self::ROOT.'/docs/architecture.md');
        foreach (FloorPlan::FLOORS as $floors) {
            foreach ($floors as $number => $rooms) {
                self::assertStringContainsString(sprintf('| %d | %s |', $number + 1, implode(', ', $rooms)), $document);
            }
        }
    }

    /** Drawn anew by: php -r 'require "vendor/autoload.php"; echo MuteTapper\Tests\Architecture\FloorPicture::svg();' > docs/floors.svg. */
    public function testThePictureShowsThePlan(): void
    {
        self::assertStringEqualsFile(self::ROOT.'/docs/floors.svg', FloorPicture::svg());
    }

    /** @return iterable<string, array{string, string, string}> */
    public static function arrows(): iterable
    {
        yield 'upward in the core' => ['MuteTapper\Core\Engine', 'MuteTapper\Core\Sheet\Bench', 'CORE'];
        yield 'to a neighbour' => ['MuteTapper\Core\Spring', 'MuteTapper\Core\Head\HeightsSheet', 'CORE'];
        yield 'from the judgement to a trade' => ['MuteTapper\Core\Cause', 'MuteTapper\Core\Spring\SpringSheet', 'CORE'];
        yield 'from the core to the application' => ['MuteTapper\Core\Assessment', 'MuteTapper\App\Shared\Kernel', 'theCoreStandsAlone'];
        yield 'from the core to the framework' => ['MuteTapper\Core\Assessment', 'Symfony\Component\Uid\Uuid', 'theCoreStandsAlone'];
        yield 'upward in the application' => ['MuteTapper\App\Record', 'MuteTapper\App\Screen\CasePresenter', 'APP'];
    }

    /** The check that bin/test runs is run on a class that should not be. */
    #[DataProvider('arrows')]
    public function testAnArrowThatDoesNotPointDownIsFound(string $room, string $used, string $rule): void
    {
        $rule = match ($rule) {
            'CORE', 'APP' => 'arrowsPointDown'.str_replace('\\', '', $room),
            default => $rule,
        };
        self::assertMatchesRegularExpression(
            '/'.preg_quote($rule, '/').'\b.*should not depend on '.preg_quote($used, '/').'/', self::analysed($room, $used),
        );
    }

    public function testAnArrowThatPointsDownIsNotReported(): void
    {
        self::assertStringNotContainsString('should not depend', self::analysed('MuteTapper\Core\Sheet', 'MuteTapper\Core\Engine\Engine'));
    }

    private static function analysed(string $room, string $used): string
    {
        $file = tempnam(sys_get_temp_dir(), 'arrow').'.php';
        file_put_contents(
            $file,
            sprintf("<?php\nnamespace %s;\nfinal class Arrow { public function to(\\%s \$there): void {} }\n", $room, $used),
        );
        try {
            exec(
                sprintf(
                    'cd %s && %s -d memory_limit=2G vendor/bin/phpstan analyse --no-progress --no-ansi --error-format=raw %s 2>&1',
                    escapeshellarg(self::ROOT), \PHP_BINARY, escapeshellarg($file),
                ),
                $lines,
            );
        } finally {
            unlink($file);
        }

        return implode("\n", $lines);
    }
}
