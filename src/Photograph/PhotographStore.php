<?php

declare(strict_types=1);

namespace MuteTapper\App\Photograph;

use Doctrine\ORM\EntityManagerInterface;
use MuteTapper\App\Record\CaseRecord;
use MuteTapper\App\Record\Photograph;
use MuteTapper\App\Record\PicturesOfCases;
use MuteTapper\App\Record\WorkingCopyState;
use MuteTapper\App\Record\Writing;
use MuteTapper\App\Shared\Problem;
use MuteTapper\App\Shared\WholeFile;
use Psr\Clock\ClockInterface;
use Symfony\Component\Messenger\MessageBusInterface;

/** Keeps photographs as files named by their SHA-256: written aside, synced, then renamed; never overwritten. */
final readonly class PhotographStore
{
    public const MOST_BYTES = 40 * 1024 * 1024;
    public const MOST_PIXELS = 64_000_000;
    private const ACCEPTED = 'JPEG, PNG and WebP up to 64 megapixels and 40 MB';

    public function __construct(
        private string $dataFolder,
        private EntityManagerInterface $entities,
        private Writing $writing,
        private PicturesOfCases $pictures,
        private MessageBusInterface $bus,
        private ClockInterface $clock,
    ) {
    }

    /** @throws Problem when the content is not an acceptable picture; judged from its header, before anything is decoded */
    public function keep(CaseRecord $case, string $content, string $fileName): Photograph
    {
        [$mediaType, $width, $height] = $this->inspect($content, $fileName);
        $sha256 = hash('sha256', $content);
        // The file is whole before anything names it.
        $this->write($this->original($sha256), $content);

        return $this->writing->together(function () use ($case, $sha256, $mediaType, $content, $width, $height, $fileName): Photograph {
            $photograph = $this->entities->find(Photograph::class, $sha256);
            if ($photograph === null) {
                $photograph = new Photograph(
                    $sha256, $mediaType, strlen($content), $width, $height, mb_substr($fileName, 0, 200), $this->clock->now(),
                );
                $this->entities->persist($photograph);
            }
            $this->pictures->add($case, $sha256);
            if ($photograph->workingCopy !== WorkingCopyState::Ready) {
                // Asked for again is queued again, whatever became of the first time.
                $photograph->workingCopy = WorkingCopyState::Waiting;
                $this->bus->dispatch(new MakeWorkingCopy($sha256));
            }

            return $photograph;
        });
    }

    /** @throws Problem when it was not received for this case */
    public function ofCase(CaseRecord $case, string $sha256): Photograph
    {
        return $this->pictures->has($case, $sha256)
            ? $this->get($sha256)
            : throw Problem::notFound('This case has no photograph with this checksum.');
    }

    public function get(string $sha256): Photograph
    {
        return $this->entities->find(Photograph::class, $sha256)
            ?? throw Problem::notFound('There is no photograph with this checksum here.');
    }

    public function original(string $sha256): string
    {
        return sprintf('%s/photographs/%s/%s', $this->dataFolder, substr($sha256, 0, 2), $sha256);
    }

    public function workingCopy(string $sha256): string
    {
        return $this->original($sha256).'.working.jpg';
    }

    /** Writes a file so that it is either whole or not there. */
    public function write(string $path, string $content): void
    {
        if (!is_file($path)) {
            WholeFile::write($path, $content);
        }
    }

    /** @return array{string, int, int} media type, width, height as shown */
    private function inspect(string $content, string $fileName): array
    {
        if (strlen($content) > self::MOST_BYTES) {
            throw Problem::tooLarge(sprintf('%s has %.0f MB. Accepted are %s.', $fileName, strlen($content) / 1048576, self::ACCEPTED));
        }
        if (preg_match('/^....ftyp(heic|heix|hevc|heif|mif1|msf1)/s', $content) === 1) {
            throw Problem::unsupported(
                sprintf(
                    '%s is a HEIC picture. Set the phone to save JPEG, or convert it first. Accepted are %s.', $fileName, self::ACCEPTED,
                ),
            );
        }
        $header = @getimagesizefromstring($content);
        $mediaType = $header === false ? '' : $header['mime'];
        if ($header === false || !in_array($mediaType, ['image/jpeg', 'image/png', 'image/webp'], true)) {
            throw Problem::unsupported(
                sprintf(
                    '%s is not a picture that is accepted here%s. Accepted are %s.', $fileName,
                    $mediaType === '' ? '' : ' ('.$mediaType.')', self::ACCEPTED,
                ),
            );
        }
        if ($header[0] < 1 || $header[1] < 1) {
            throw Problem::unsupported(sprintf('%s says it has no pixels. Accepted are %s.', $fileName, self::ACCEPTED));
        }
        if ($header[0] * $header[1] > self::MOST_PIXELS) {
            throw Problem::tooLarge(
                sprintf('%s has %.0f megapixels. Accepted are %s.', $fileName, $header[0] * $header[1] / 1e6, self::ACCEPTED),
            );
        }
        $turned = $mediaType === 'image/jpeg' && in_array($this->orientation($content), [5, 6, 7, 8], true);

        return [$mediaType, $header[$turned ? 1 : 0], $header[$turned ? 0 : 1]];
    }

    private function orientation(string $content): int
    {
        if (!function_exists('exif_read_data')) {
            return 1;
        }
        $stream = fopen('php://memory', 'r+');
        if ($stream === false) {
            return 1;
        }
        fwrite($stream, $content);
        rewind($stream);
        $exif = @exif_read_data($stream);

        return is_array($exif) && is_numeric($exif['Orientation'] ?? null) ? (int) $exif['Orientation'] : 1;
    }
}
