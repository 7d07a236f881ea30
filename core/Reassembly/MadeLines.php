<?php

declare(strict_types=1);

namespace MuteTapper\Core\Reassembly;

use MuteTapper\Core\Document\Node;
use MuteTapper\Core\Engine\Engine;
use MuteTapper\Core\Engine\Part;
use MuteTapper\Core\Engine\Place;
use MuteTapper\Core\Engine\Site;
use MuteTapper\Core\Knowledge\AssemblyLine;
use MuteTapper\Core\Remedy\Adjustments;
use MuteTapper\Core\Remedy\PartAdvice;
use MuteTapper\Core\Remedy\Remedies;
use MuteTapper\Core\Remedy\Remedy;
use MuteTapper\Core\Remedy\ReuseDecision;
use MuteTapper\Core\Remedy\SpeedLimit;
use MuteTapper\Core\Remedy\Trial;
use MuteTapper\Core\Sheet\Sheets;

/** Lines that the plan of one engine has for its own sake: what the remedies change, and parts that were decided to be new or reworked. */
final class MadeLines
{
    private const REMEDY = 'Remedy';
    private const PARTS = 'Parts';

    /**
     * @param list<PartAdvice> $advice
     * @param Trial $taken all remedies that are taken, together
     *
     * @return list<array{AssemblyLine, list<string>}> each with its places
     */
    public static function of(Remedies $remedies, array $advice, Trial $taken): array
    {
        $case = $taken->found->case;

        return [
            ...self::ofRemedies($remedies, $case->engine, $taken->found->sheets), ...self::ofSpeed($remedies, $taken),
            ...self::ofParts($advice, $case->engine),
        ];
    }

    /** @return list<array{AssemblyLine, list<string>}> while springs are weaker than they were, how fast the engine may turn */
    private static function ofSpeed(Remedies $remedies, Trial $taken): array
    {
        $limit = SpeedLimit::of($taken);
        if ($limit === null) {
            return [];
        }
        $until = array_diff(array_map(static fn (Remedy $one): string => $one->until, $remedies->taken()), ['']);

        return [[
            AssemblyLine::made(
                'speed_limit', self::REMEDY,
                'Speed limit written on the engine, and set: '.$limit->words($taken->found->case), Site::Engine,
                $until === [] ? '' : 'Until: '.implode('; ', $until),
            ),
            [Place::ENGINE],
        ]];
    }

    /** @return list<array{AssemblyLine, list<string>}> */
    private static function ofRemedies(Remedies $remedies, Engine $engine, Sheets $sheets): array
    {
        $lines = [];
        foreach ($remedies->taken() as $remedy) {
            foreach ($remedy->change as $i => $change) {
                $node = Node::root($change);
                $name = $node->maybe('name')?->word() ?? '';
                $value = $sheets->values[$name] ?? null;
                $part = Part::tryFrom($node->maybe('part')?->word() ?? '');
                $site = $part?->site() ?? $value?->site;
                if ($site === null) {
                    continue;
                }
                $label = $part === null ? Adjustments::named($name)->label ?? $value->title ?? $name : $part->label($engine).', another';
                $lines[] = [
                    AssemblyLine::made(
                        sprintf('remedy.%s.%d', $remedy->id, $i + 1), self::REMEDY, sprintf('%s: %s', $remedy->name, $label), $site,
                        $remedy->words,
                    ),
                    $node->get('places')->words(),
                ];
            }
        }

        return $lines;
    }

    /**
     * @param list<PartAdvice> $advice
     *
     * @return list<array{AssemblyLine, list<string>}> of what a person decided; advice alone is no line
     */
    private static function ofParts(array $advice, Engine $engine): array
    {
        $places = [];
        foreach ($advice as $one) {
            $decision = $one->decided?->decision;
            if (in_array($decision, [ReuseDecision::Replace, ReuseDecision::Rework], true) && $one->part->site() !== Site::Engine) {
                $code = $one->part->value.'.'.$decision->value;
                $places[$code] = [$one->part, $decision, [...$places[$code][2] ?? [], ...$one->places]];
            }
        }

        return array_values(array_map(static fn (string $code, array $line): array => [
            AssemblyLine::made(
                'part.'.$code, self::PARTS,
                $line[1] === ReuseDecision::Replace
                    ? sprintf('New %s, compared with the old one', $line[0]->label($engine))
                    : sprintf('%s back from its work, looked at', ucfirst($line[0]->label($engine))),
                $line[0]->site(),
            ),
            $line[2],
        ], array_keys($places), $places));
    }
}
