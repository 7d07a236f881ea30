<?php

declare(strict_types=1);

namespace MuteTapper\App\Teardown;

use MuteTapper\App\Record\CaseRecord;
use MuteTapper\App\Record\Cases;
use MuteTapper\App\Shared\Pdf;
use MuteTapper\App\Shared\Problem;
use MuteTapper\Core\Engine\Engine;
use MuteTapper\Core\Engine\Part;
use MuteTapper\Core\Engine\Station;
use Symfony\Component\Process\Process;
use Twig\Environment;

/** The tags that parts carry through the shop: station, part, case, and a code that opens the station on a phone. */
final readonly class TagSheet
{
    public function __construct(private Cases $cases, private Pdf $pdf, private Environment $twig)
    {
    }

    /**
     * @param list<string> $stations all where empty
     * @param list<string> $parts valve, spring, retainer and locks where empty
     *
     * @throws Problem when the engine has no such station or part
     */
    public function pdf(CaseRecord $case, array $stations, array $parts, string $host): string
    {
        return $this->pdf->of(
            $this->twig->render(
                'teardown/tags.html.twig', ['fonts' => $this->pdf->fonts(), 'tags' => $this->tags($case, $stations, $parts, $host)],
            ),
        );
    }

    /**
     * @param list<string> $stations
     * @param list<string> $parts
     *
     * @return list<array{label: string, part: string, case: string, name: string, code: string, address: string}>
     */
    private function tags(CaseRecord $case, array $stations, array $parts, string $host): array
    {
        $engine = $this->cases->engine($case);
        $tags = [];
        foreach ($stations === [
        ] ? array_map(static fn (Station $station): string => $station->code(), $engine->stations) : $stations as $code) {
            $station = $engine->station($code) ?? throw Problem::notFound(sprintf('This engine has no station “%s”.', $code));
            $address = sprintf('%s/case/%s/teardown?at=%s', $host, $case->id, $code);
            $picture = self::code($address);
            foreach (self::parts($engine, $parts) as $part) {
                $tags[] = [
                    'label' => $station->label(), 'part' => $part->label($engine), 'case' => sprintf('%04d', $case->number),
                    'name' => $case->name, 'code' => $picture, 'address' => $address,
                ];
            }
        }

        return $tags;
    }

    /**
     * @param list<string> $codes
     *
     * @return list<Part>
     */
    private static function parts(Engine $engine, array $codes): array
    {
        return array_map(static function (string $code) use ($engine): Part {
            $part = Part::tryFrom($code);

            return $part !== null && $part->isFittedTo($engine)
                ? $part
                : throw Problem::notFound(sprintf('This engine has no “%s”.', $code));
        }, $codes === [] ? [Part::Valve->value, Part::Spring->value, Part::Retainer->value, Part::Locks->value] : $codes);
    }

    /** The address as a QR code [pub: ISO/IEC 18004], as the address of a picture. */
    private static function code(string $address): string
    {
        $process = new Process(['qrencode', '--type=PNG', '--size=6', '--margin=2', '--level=M', '--output=-', $address]);

        return 'data:image/png;base64,'.base64_encode($process->mustRun()->getOutput());
    }
}
