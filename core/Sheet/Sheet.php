<?php

declare(strict_types=1);

namespace MuteTapper\Core\Sheet;

use MuteTapper\Core\CaseFile\Step;
use MuteTapper\Core\Engine\Engine;
use MuteTapper\Core\Engine\Site;

/** A measurement sheet, declared: what is typed into it, what follows, and how it is judged. */
final readonly class Sheet
{
    /**
     * @param string $what what its rows are counted in: springs, tests, stems and guides
     * @param list<Column> $columns
     * @param list<Value> $values
     * @param list<Judged> $judged
     * @param list<\Closure(Bench): list<string>> $remarks what the sheet says as a whole, in words
     * @param Axis|null $rows where rows are not places but parts of the index
     * @param Axis|null $faces one page of the sheet for each of these parts
     * @param list<string> $faceKeys
     * @param Axis|null $lines one line of a row for each of these parts
     * @param list<string> $also columns of other sheets that are typed here too
     * @param bool $isLoose its rows are parts off the engine, as many as there are
     * @param list<string> $shows values of other sheets that stand beside the readings here too
     * @param (\Closure(Bench): list<Curve>)|null $curves lines that are drawn over each other
     * @param (\Closure(Bench): list<FigureAt>)|null $compares by which its parts are held against each other
     * @param array<string, int> $wants readings that a place needs before this sheet is done there, by column
     * @param bool $isCountedAlways in the progress of its step; else once it is begun
     * @param list<string> $questions asked of each row
     * @param (\Closure(Engine): list<string>)|null $order of the rows, where it is not that of the engine
     * @param (\Closure(Engine): bool)|null $on engines that have the sheet
     */
    public function __construct(
        public string $code,
        public string $title,
        public Step $step,
        public string $what,
        public array $columns,
        public array $values = [],
        public array $judged = [],
        public array $remarks = [],
        public Site $site = Site::Station,
        public ?Axis $rows = null,
        public ?Axis $faces = null,
        public array $faceKeys = [],
        public ?Axis $lines = null,
        public array $also = [],
        public array $wants = [],
        public bool $isCountedAlways = false,
        public array $questions = [],
        public ?\Closure $order = null,
        public ?\Closure $on = null,
        public bool $goesAcross = true,
        public bool $isLoose = false,
        public array $shows = [],
        public ?\Closure $curves = null,
        public ?\Closure $compares = null,
    ) {
    }

    public function isFittedTo(Engine $engine): bool
    {
        return $this->on === null || ($this->on)($engine);
    }

    /** @return list<string> places of its rows, in order */
    public function places(Engine $engine): array
    {
        return $this->order === null ? $engine->sites($this->site) : ($this->order)($engine);
    }
}
