<?php

declare(strict_types=1);

namespace MuteTapper\App\Cause;

use MuteTapper\Core\Assessment\Assessment;
use MuteTapper\Core\Cause\PlacedCause;
use MuteTapper\Core\Cause\Ranking;
use MuteTapper\Core\Cause\Scope;
use MuteTapper\Core\Cause\Standing;

/** What a ranking comes to, in a sentence or two. */
final class RankingSentence
{
    public static function of(Assessment $assessment, Ranking $ranking, bool $empty): string
    {
        if ($empty) {
            return 'Not enough evidence: nothing has been recorded yet.';
        }
        $network = $assessment->knowledge->network;
        $words = new PlaceWords($assessment->case->engine, $ranking->model->ground);
        $name = static fn (PlacedCause $one): string => $network->causes[$one->cause]->label.(
            $words->form($one) === '' ? '' : ', '.$words->form($one)
        ).($one->extent->scope === Scope::All ? '' : ' ('.$words->where($one->extent).')');
        $named = $ranking->named;
        $inside = static fn (PlacedCause $one): string => lcfirst($name($one));
        $leading = ucfirst(implode(' together with ', array_map($inside, $named->leading)));
        $open = implode('; or ', array_map($inside, $named->open));
        $established = implode('; ', array_map(
            static fn (string $event): string => lcfirst($network->events[$event]->label), $ranking->established,
        ));
        $told = implode(' and ', array_map(
            static fn (PlacedCause $one): string => lcfirst($network->causes[$one->cause]->label), $named->hearsay,
        ));
        $sentence = match ($named->standing) {
            Standing::Leader => $leading.' leads.',
            Standing::LeaderAndOpen => $leading.' leads, with a second cause open'.($open === '' ? '.' : ' between '.$open.'.'),
            Standing::OpenBetween => $established === ''
                ? 'Open between '.$open.'.'
                : 'Established: '.$established.'. Its root is open'.($open === '' ? '.' : ' between '.$open.'.'),
            Standing::NotEnough => 'Not enough evidence to name a cause.',
        };
        $more = $established === '' || $named->standing === Standing::OpenBetween ? '' : ' Established: '.$established.'.';

        return $sentence.$more.($told === '' ? '' : ' '.ucfirst($told).' was reported; nothing that was seen needs it.');
    }
}
