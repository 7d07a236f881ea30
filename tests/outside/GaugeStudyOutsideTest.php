<?php

declare(strict_types=1);

namespace MuteTapper\Tests\Outside;

use MuteTapper\Core\Document\Node;
use MuteTapper\Core\Gauge\GaugeStudy;
use PHPUnit\Framework\TestCase;

/** The shares of the variance against sums of squares that SciPy's least squares leave over from nested linear models. */
final class GaugeStudyOutsideTest extends TestCase
{
    use RunsPython;

    private const PROGRAM = <<<'PYTHON'
        import json, sys
        import numpy as np
        from scipy.linalg import lstsq

        def left(columns, y):
            design = np.column_stack(columns)
            solution = lstsq(design, y, cond=1e-10)[0]  # the models are of lower rank than they have columns
            return float(np.sum((y - design @ solution) ** 2)), int(np.linalg.matrix_rank(design))

        answers = []
        for study in json.load(sys.stdin):
            data = np.array(study, dtype=float)
            people, parts, repeats = data.shape
            o, p, _ = np.indices(data.shape)
            y, o, p = data.ravel(), o.ravel(), p.ravel()
            one = [np.ones(y.size)]
            persons = [(o == i) * 1.0 for i in range(people)]
            pieces = [(p == i) * 1.0 for i in range(parts)]
            cells = [((o == i) & (p == j)) * 1.0 for i in range(people) for j in range(parts)]
            rest_mean, r_mean = left(one, y)
            rest_o, r_o = left(persons, y)
            rest_p, r_p = left(pieces, y)
            rest_both, r_both = left(persons + pieces, y)
            rest_all, r_all = left(cells, y)
            within = rest_all / (y.size - r_all)
            crossed = (rest_both - rest_all) / (r_all - r_both)
            by_person = (rest_p - rest_both) / (r_both - r_p)
            by_part = (rest_o - rest_both) / (r_both - r_o)
            root = lambda v: float(np.sqrt(max(0.0, v)))
            answers.append([
                root(within), root((by_person - crossed) / (parts * repeats)),
                root((crossed - within) / repeats), root((by_part - crossed) / (people * repeats)),
            ])
        print(json.dumps(answers))
        PYTHON;

    public function testTheSharesOfTheVariance(): void
    {
        $chance = new \Random\Randomizer(new \Random\Engine\Mt19937(7));
        $studies = [];
        foreach ([[3, 10, 3], [3, 10, 2], [2, 5, 4], [4, 6, 2]] as [$people, $parts, $repeats]) {
            $study = [];
            for ($o = 0; $o < $people; ++$o) {
                for ($p = 0; $p < $parts; ++$p) {
                    for ($r = 0; $r < $repeats; ++$r) {
                        $crossed = 0.0004 * (($o * $p) % 3);
                        $study[$o][$p][$r] = 1.9 + 0.004 * $p + 0.0008 * $o + $crossed + $chance->getInt(-60, 60) * 1e-5;
                    }
                }
            }
            $studies[] = $study;
        }
        foreach (self::python(self::PROGRAM, $studies) as $i => $reference) {
            $study = GaugeStudy::fromNode(Node::root(['unit' => 'in', 'readings' => $studies[$i]]));
            self::assertEqualsWithDelta($reference, [$study->repeatability, $study->persons, $study->interaction, $study->parts], 1e-9);
        }
    }
}
