<?php

declare(strict_types=1);

namespace MuteTapper\App\Teardown;

use MuteTapper\App\Paper\PaperMaker;
use MuteTapper\App\Record\CaseRecord;
use MuteTapper\App\Record\Cases;
use MuteTapper\App\Shared\Pdf;
use MuteTapper\App\Shared\PrintFonts;
use MuteTapper\App\Shared\Problem;
use MuteTapper\Core\Document\Node;
use MuteTapper\Core\Engine\Engine;
use MuteTapper\Core\Engine\Part;
use MuteTapper\Core\Engine\Site;
use Symfony\Component\HttpFoundation\RequestStack;
use Symfony\Component\Process\Process;
use Twig\Environment;

/** The tags that parts carry through the shop: station, part, case, and a code that opens the station on a phone. */
final readonly class TagSheet implements PaperMaker
{
    /** Stations and parts that one sheet is asked for. */
    private const MOST = 200;
    private const SHARE_OF_CODES = 0.4;

    public function __construct(
        private Cases $cases,
        private Pdf $pdf,
        private PrintFonts $fonts,
        private Environment $twig,
        private RequestStack $requests,
    ) {
    }

    public function kind(): string
    {
        return 'tags';
    }

    public function extension(): string
    {
        return 'pdf';
    }

    public function mediaType(): string
    {
        return 'application/pdf';
    }

    public function options(CaseRecord $case, Node $asked): array
    {
        $engine = $this->cases->engine($case);
        $stations = array_values(array_unique($asked->maybe('stations')?->words(self::MOST) ?? []));
        foreach ($stations as $code) {
            $engine->station($code) ?? throw Problem::notFound(sprintf('This engine has no station “%s”.', $code));
        }
        $parts = self::parts($engine, array_values(array_unique($asked->maybe('parts')?->words(self::MOST) ?? [])));

        return [
            'stations' => $stations === [] ? $engine->sites(Site::Station) : $stations,
            'parts' => array_map(static fn (Part $part): string => $part->value, $parts),
            'address' => $this->address(),
        ];
    }

    public function make(CaseRecord $case, Node $options, \Closure $progress): string
    {
        $engine = $this->cases->engine($case);
        $parts = self::parts($engine, $options->get('parts')->words());
        $stations = $options->get('stations')->words();
        $tags = [];
        foreach ($stations as $i => $code) {
            $address = sprintf('%s/case/%s/teardown?at=%s', $options->get('address')->word(), $case->id, $code);
            $picture = self::code($address);
            foreach ($parts as $part) {
                $tags[] = [
                    'label' => $engine->station($code)?->label() ?? $code, 'part' => $part->label($engine),
                    'case' => sprintf('%04d', $case->number), 'name' => $case->name, 'code' => $picture, 'address' => $address,
                ];
            }
            $progress(self::SHARE_OF_CODES * ($i + 1) / count($stations));
        }

        return $this->pdf->of($this->twig->render('teardown/tags.html.twig', ['fonts' => $this->fonts->all(), 'tags' => $tags]));
    }

    /** Where a phone at the bench reaches this shop: told by what serves it, else as this browser reached it. */
    private function address(): string
    {
        $request = $this->requests->getCurrentRequest();
        $told = $request?->server->getString('MUTE_TAPPER_ADDRESS') ?? '';

        return $told === '' || str_contains($told, '//127.') ? $request?->getSchemeAndHttpHost() ?? $told : $told;
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
