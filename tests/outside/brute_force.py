"""The cause model by summing over every state of every event: the definitions, and nothing clever.

Reads one JSON document with priors, events (parents first) and signs. Prints the likelihoods of its hypotheses; or, where it
lists causes instead, what the ranking must come to: posterior, reduced explanations, standing, events.
"""
import itertools
import json
import math
import sys

import numpy as np

KAPPA, OTHER_EVENT, OTHER_SIGN = 0.10, 0.05, 0.03

data = json.load(sys.stdin)
events = data["events"]
number = {event["code"]: i for i, event in enumerate(events)}
causes = data["priors"]

# strongest path from each cause to each event
path = {}
for event in events:
    best = {}
    for parent, strength in event["parents"]:
        through = path[parent] if parent in number else {parent: 1.0}
        for cause, value in through.items():
            best[cause] = max(best.get(cause, 0.0), value * strength)
    path[event["code"]] = best
leak = {code: KAPPA * sum(causes.get(cause, 0.0) * value for cause, value in best.items()) for code, best in path.items()}

states = np.arange(1 << len(events), dtype=np.int64)
on = [((states >> i) & 1).astype(bool) for i in range(len(events))]


def joint(hypothesis):
    """Probability of the evidence with each state of the events."""
    other = "*other*" in hypothesis
    total = np.ones(len(states))
    for event in events:
        off = np.full(len(states), 1.0 - leak[event["code"]])
        if other:
            off *= 1.0 - OTHER_EVENT
        for parent, strength in event["parents"]:
            if parent in number:
                off = np.where(on[number[parent]], off * (1.0 - strength), off)
            elif parent in hypothesis:
                off *= 1.0 - strength
        total *= np.where(on[number[event["code"]]], 1.0 - off, off)
    for sign in data["signs"]:
        active = [(on[number[parent]] if parent in number else np.full(len(states), parent in hypothesis), strength) for parent, strength in sign["parents"]]
        if other:
            active.append((np.full(len(states), True), OTHER_SIGN))
        rho = sign["ratio"]
        if sign["present"]:
            none = np.ones(len(states))
            for is_on, strength in active:
                none = np.where(is_on, none * (1.0 - strength), none)
            total *= none + (1.0 - none) * rho
        else:
            for is_on, strength in active:
                total = np.where(is_on, total * (1.0 - strength * (1.0 - rho)), total)
    return total


known = {}


def likelihood(hypothesis):
    key = frozenset(hypothesis)
    if key not in known:
        known[key] = float(joint(hypothesis).sum())
    return known[key]


def weighed(hypothesis):
    """A pair of which either alone is not worth keeping counts as two that have nothing to do with each other."""
    alone = [likelihood([cause]) for cause in hypothesis]
    none = likelihood([])
    return alone[0] * alone[1] / none if len(alone) == 2 and min(alone) < 1.5 * none else likelihood(hypothesis)


def reduced(hypothesis):
    """Members that do not raise the likelihood by half again are dropped, the least first."""
    kept = list(hypothesis)
    while kept:
        worth = {cause: weighed(kept) / weighed([c for c in kept if c != cause]) for cause in kept}
        least = min(worth, key=worth.get)
        if worth[least] >= 1.5:
            break
        kept.remove(least)
    return tuple(kept)


def ranking(names):
    pairs = list(itertools.combinations(names, 2))
    both = sum(causes[a] * causes[b] for a, b in pairs)
    prior = {(): 1.0}
    prior.update({(c,): 0.77 * causes[c] for c in names})
    prior.update({(a, b): 0.25 * causes[a] * causes[b] / both for a, b in pairs})
    mass = {hypothesis: weight * weighed(hypothesis) for hypothesis, weight in prior.items()}
    other = 0.08 * likelihood(["*other*"])
    total = sum(mass.values()) + other
    unexplained = other / total
    explanations = {}
    for hypothesis, weight in mass.items():
        kept = reduced(hypothesis)
        if kept:
            explanations[kept] = explanations.get(kept, 0.0) + weight / total
        else:
            unexplained += weight / total
    of = {c: sum(p for kept, p in explanations.items() if c in kept) for c in names}
    ordered = sorted(explanations.items(), key=lambda one: -one[1])
    standing, leading = judged(ordered, of, unexplained)
    shares = [((), unexplained)] + ordered[:12]
    event = {code: 0.0 for code in number}
    for kept, share in shares:
        states_now = joint(list(kept))
        for code, i in number.items():
            event[code] += share * float(states_now[on[i]].sum() / states_now.sum())
    whole = sum(share for _, share in shares)
    return {
        "probability": of,
        "unexplained": unexplained,
        "explanations": [[sorted(kept), p] for kept, p in ordered],
        "standing": standing,
        "leading": sorted(leading),
        "events": {code: value / whole for code, value in event.items()},
    }


def judged(ordered, of, unexplained):
    if not ordered:
        return "not_enough_evidence", []
    best = ordered[0]
    if len(best[0]) > 1 and best[1] <= 0.25:
        best = next((one for one in ordered if len(one[0]) == 1), best)
    gain = 10 * math.log10(weighed(best[0]) / likelihood([]))
    inside = min(of[c] for c in best[0])
    outside = max([of[c] for c in of if c not in best[0]] + [0.0])
    if gain >= 10 and inside >= 0.5 and inside >= 2 * outside and unexplained < 0.3:
        return "leader", list(best[0])
    top = sorted(of.items(), key=lambda one: -one[1])[:3]
    if gain >= 10 and sum(p for _, p in top) >= 0.5 and unexplained < 0.4:
        return "open_between", [c for c, p in top if p >= 0.05]
    return "not_enough_evidence", []


if "causes" in data:
    print(json.dumps([ranking(data["causes"])]))
else:
    print(json.dumps([likelihood(hypothesis) for hypothesis in data["hypotheses"]]))
