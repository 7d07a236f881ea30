<?php

declare(strict_types=1);

namespace MuteTapper\Core\Entry;

/** What a person recorded. */
enum EntryKind: string
{
    /** A measurement from a gauge. */
    case Reading = 'reading';
    /** A spring pressed on a tester from one height to another. */
    case Sweep = 'sweep';
    /** A lobe turned under an indicator. */
    case Lift = 'lift';
    /** A figure of the build as claimed. */
    case Claim = 'claim';
    /** A sign seen, or looked for and not there. */
    case Finding = 'finding';
    /** A whole part looked at, nothing there. */
    case Look = 'look';
    case Photograph = 'photograph';
    /** A drawing or measure on a photograph. */
    case Annotation = 'annotation';
    /** One of a few words: where it hisses, how the needle moves. */
    case Answer = 'answer';
    /** A build, run, service or failure in the life of the engine. */
    case Event = 'event';
    /** How a component went into a run. */
    case Carry = 'carry';
    /** A log file and how it is read. */
    case Log = 'log';
    /** A step of the teardown made or left out, or something confirmed before one. */
    case Step = 'step';
    /** The order of the teardown's steps. */
    case Order = 'order';
    /** Pieces counted. */
    case Pieces = 'pieces';
    /** Which part it is that stands there, by its tag. */
    case Tag = 'tag';
    /** Where a part is. */
    case Custody = 'custody';
    case Task = 'task';
    /** The day the case is promised for. */
    case Promise = 'promise';
    /** What a laboratory answered. */
    case Report = 'report';
    /** That a report was given out. */
    case Issue = 'issue';
    /** A change of the chain of damage. */
    case Chain = 'chain';
    /** Something that could be changed on the engine, tried or held to. */
    case Remedy = 'remedy';
    /** The remedy that is taken. */
    case Taken = 'taken';
    /** Whether a part goes back in. */
    case Reuse = 'reuse';
    /** How bolts are tightened, from the maker's manual. */
    case Tightening = 'tightening';
    /** A line of the reassembly, ticked or left out. */
    case Line = 'line';
    /** How the engine came back. */
    case Outcome = 'outcome';
    /** Takes back the entry it supersedes; the slot is empty again. */
    case Withdrawal = 'withdrawal';
}
