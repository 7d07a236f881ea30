<?php

declare(strict_types=1);

namespace MuteTapper\App\Schedule;

use MuteTapper\App\Entry\EntryRecorder;
use MuteTapper\App\Entry\EntryView;
use MuteTapper\App\Record\CaseRecord;
use MuteTapper\App\Record\Cases;
use MuteTapper\App\Record\Writing;
use MuteTapper\App\Shared\JsonBody;
use MuteTapper\Core\Entry\Entry;
use MuteTapper\Core\Entry\EntryKind;
use MuteTapper\Core\Schedule\Schedule;
use MuteTapper\Core\Schedule\Task;
use MuteTapper\Core\Schedule\TaskKind;
use MuteTapper\Core\Schedule\TaskState;
use OpenApi\Attributes as OA;
use Psr\Clock\ClockInterface;
use Symfony\Component\HttpFoundation\JsonResponse;
use Symfony\Component\HttpFoundation\Request;
use Symfony\Component\Messenger\MessageBusInterface;
use Symfony\Component\Messenger\Stamp\DelayStamp;
use Symfony\Component\Routing\Attribute\Route;

/** The days ahead of a case, and requests to laboratories. */
final class ScheduleController
{
    #[Route('/api/cases/{id}/schedule', methods: ['GET'])]
    #[OA\Get(path: '/api/cases/{id}/schedule', operationId: 'getSchedule', responses: [
        new OA\Response(response: 200, description: 'the days ahead', content: new OA\JsonContent(ref: ScheduleView::class)),
    ])]
    public function schedule(CaseRecord $case, Cases $cases, ClockInterface $clock): JsonResponse
    {
        return new JsonResponse(ScheduleView::of(Schedule::of($cases->file($case), $clock->now())));
    }

    #[Route('/api/laboratories', methods: ['GET'])]
    #[OA\Get(path: '/api/laboratories', operationId: 'listLaboratories', responses: [
        new OA\Response(
            response: 200, description: 'laboratories that can be asked',
            content: new OA\JsonContent(type: 'array', items: new OA\Items(ref: LaboratoryView::class)),
        ),
    ])]
    public function laboratories(Laboratories $laboratories): JsonResponse
    {
        return new JsonResponse(array_map(LaboratoryView::of(...), $laboratories->all()));
    }

    #[Route('/api/cases/{id}/laboratory-requests', methods: ['POST'])]
    #[OA\Post(
        path: '/api/cases/{id}/laboratory-requests', operationId: 'askLaboratory',
        requestBody: new OA\RequestBody(
            required: true, content: new OA\JsonContent(required: ['id', 'task', 'laboratory', 'request', 'by'], properties: [
                new OA\Property('id', description: 'UUID of the entry, made by the client', type: 'string'),
                new OA\Property('task', type: 'string'), new OA\Property('laboratory', type: 'string'),
                new OA\Property('request', type: 'string'),
                new OA\Property('by', type: 'string'),
            ], type: 'object')), responses: [
                new OA\Response(
                    response: 202, description: 'asked; the report is attached when it comes',
                    content: new OA\JsonContent(ref: EntryView::class),
                ),
            ])]
    public function ask(
        CaseRecord $case,
        Request $request,
        Laboratories $laboratories,
        EntryRecorder $recorder,
        Writing $writing,
        MessageBusInterface $bus,
        ClockInterface $clock,
    ): JsonResponse {
        $input = JsonBody::of($request);
        $laboratory = $laboratories->get($input->get('laboratory')->word());
        $asked = $input->get('request')->word(400);
        [$least, $most] = $laboratory->days();
        $task = [
            'label' => mb_strimwidth($laboratory->label().': '.$asked, 0, 200, '…'), 'kind' => TaskKind::Laboratory->value,
            'taskState' => TaskState::Begun->value,
            'leastDays' => $least, 'mostDays' => $most, 'begun' => $clock->now()->format('Y-m-d'),
        ];
        $id = Entry::uuid($input->get('id'));
        $slot = Task::slot($input->get('task')->word(80));
        $by = $input->get('by')->word(80);
        // Asked and noted together: a request that is on record was sent, and one that was sent is on record.
        $entry = $writing->together(static function () use (
            $case, $recorder, $bus, $clock, $id, $slot, $by, $task, $laboratory, $asked,
        ): EntryView {
            [$recorded, $isNew] = $recorder->record(
                $case, new Entry($id, EntryKind::Task, $slot, null, null, $by, $clock->now(), null, $task),
            );
            if ($isNew) {
                $bus->dispatch(
                    new AnswerOfLaboratory($case->id, $slot->index ?? '', $laboratory->code(), $asked),
                    [new DelayStamp($laboratory->answersAfter())],
                );
            }

            return $recorded->entry;
        });

        return new JsonResponse($entry, 202);
    }
}
