<?php

declare(strict_types=1);

namespace MuteTapper\App\Shared;

/** A refusal that the person can act on: becomes an `application/problem+json` answer (RFC 9457). */
final class Problem extends \RuntimeException
{
    /** @param array<string, mixed> $extra members beside the standard ones, such as the pointer of the field */
    private function __construct(public readonly int $status, public readonly string $title, string $detail, public readonly array $extra)
    {
        parent::__construct($detail);
    }

    /** @param array<string, mixed> $extra */
    public static function invalid(string $detail, array $extra = []): self
    {
        return new self(422, 'Not accepted', $detail, $extra);
    }

    public static function unreadable(string $detail): self
    {
        return new self(400, 'Cannot be read', $detail, []);
    }

    public static function notFound(string $detail): self
    {
        return new self(404, 'Not found', $detail, []);
    }

    /** @param array<string, mixed> $extra */
    public static function conflict(string $detail, array $extra = []): self
    {
        return new self(409, 'Changed meanwhile', $detail, $extra);
    }

    /** @param array<string, mixed> $extra */
    public static function changedMeanwhile(string $detail, array $extra = []): self
    {
        return new self(412, 'Changed meanwhile', $detail, $extra);
    }

    public static function tooLarge(string $detail): self
    {
        return new self(413, 'Too large', $detail, []);
    }

    public static function misdirected(string $detail): self
    {
        return new self(421, 'Wrong address', $detail, []);
    }

    public static function unknownDevice(string $detail): self
    {
        return new self(401, 'Device not known', $detail, []);
    }

    public static function forbidden(string $detail): self
    {
        return new self(403, 'Not allowed', $detail, []);
    }

    public static function unsupported(string $detail): self
    {
        return new self(415, 'Kind of file not accepted', $detail, []);
    }

    /** @return array{type: string, title: string, status: int, detail: string, ...} */
    public function toArray(): array
    {
        return [
            'type' => 'about:blank', 'title' => $this->title, 'status' => $this->status, 'detail' => $this->getMessage(),
        ] + $this->extra;
    }
}
