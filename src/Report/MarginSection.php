<?php

declare(strict_types=1);

namespace MuteTapper\App\Report;

use MuteTapper\App\Sheet\MarginView;
use MuteTapper\Core\Assessment\Assessment;
use MuteTapper\Core\Verdict\Verdict;

/** What is said of the margins of a report beside their rows. */
final class MarginSection
{
    /**
     * Margins of which nothing can be told, one line for each that is judged; why, where it is the same everywhere.
     *
     * @param list<MarginView> $margins
     *
     * @return list<array{title: string, limitWords: string, values: list<string>, sentence: string}>
     */
    public static function undecided(array $margins): array
    {
        $lines = [];
        foreach ($margins as $margin) {
            if ($margin->verdict === Verdict::CannotTell) {
                $line = $lines[$margin->quantity] ?? ['values' => [], 'sentence' => $margin->sentence];
                $lines[$margin->quantity] = [
                    'title' => $margin->title, 'limitWords' => $margin->limitWords,
                    'values' => [...$line['values'], trim($margin->label.' '.($margin->value->shown ?? ''))],
                    'sentence' => $line['sentence'] === $margin->sentence ? $margin->sentence : '',
                ];
            }
        }

        return array_values($lines);
    }

    /**
     * @param list<MarginView> $margins those that are printed
     *
     * @return list<array{title: string, words: string, school: string, source: string}> each limit once
     */
    public static function limits(Assessment $assessment, array $margins): array
    {
        $limits = [];
        foreach ($margins as $margin) {
            $known = $assessment->knowledge->limits->has($margin->quantity) ? $assessment->knowledge->limits->of($margin->quantity) : null;
            $limits[$margin->quantity.' '.$margin->limitWords] ??= [
                'title' => $known->title ?? $margin->title, 'words' => $margin->limitWords, 'school' => $margin->school,
                'source' => $known->source ?? '',
            ];
        }

        return array_values($limits);
    }
}
