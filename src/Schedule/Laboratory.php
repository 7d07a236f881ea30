<?php

declare(strict_types=1);

namespace MuteTapper\App\Schedule;

use Symfony\Component\DependencyInjection\Attribute\AutoconfigureTag;

/** An outside laboratory: takes a request and answers after a while. The real ones plug in here. */
#[AutoconfigureTag]
interface Laboratory
{
    /** Stable code, as in requests. */
    public function code(): string;

    public function label(): string;

    /** @return array{float, float} days an answer usually takes, at best and at worst */
    public function days(): array;

    public function isSimulated(): bool;

    /** Milliseconds until the answer is there; a real laboratory answers on its own. */
    public function answersAfter(): int;

    /**
     * The report, in the shape that LaboratoryReport reads.
     *
     * @param string $request what was asked, as typed
     * @param string $seed stable for one request
     *
     * @return array<string, mixed>
     */
    public function report(string $request, string $seed): array;
}
