"""Likelihood of hypotheses by summing over every state of every event: the definitions, and nothing clever.

Reads one JSON document with priors, events (parents first), signs and hypotheses; prints the likelihoods.
"""
import json
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


def likelihood(hypothesis):
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
    return float(total.sum())


print(json.dumps([likelihood(hypothesis) for hypothesis in data["hypotheses"]]))
