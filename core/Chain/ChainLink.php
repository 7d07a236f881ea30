<?php

declare(strict_types=1);

namespace MuteTapper\Core\Chain;

/** That one event led to the next: by the catalogue, or by a person's word. */
final readonly class ChainLink
{
    /**
     * @param string $reason the catalogue's; empty where a person drew the link
     * @param ChainEdit|null $drawn by whom it was drawn or turned
     * @param ChainEdit|null $cut by whom it was cut: it is shown, and leads nowhere
     */
    public function __construct(
        public string $from,
        public string $to,
        public string $reason,
        public ?ChainEdit $drawn = null,
        public ?ChainEdit $cut = null,
    ) {
    }

    public function cutBy(ChainEdit $edit): self
    {
        return new self($this->from, $this->to, $this->reason, $this->drawn, $edit);
    }

    public function turnedBy(ChainEdit $edit): self
    {
        return new self($this->to, $this->from, '', $edit);
    }
}
