"""The whole judgement from its definitions, written apart from the product: placed causes, spread, absence, pairs, reduction, naming.

Reads one JSON document: stations, causes, events (parents first), signs with what was recorded of them. Prints what the ranking
must come to. Sums over the states of the events with numpy.einsum along a path that numpy finds, and knows no plan, no
message and no number of an effect: every likelihood is one product of arrays.
"""
import itertools
import json
import math
import sys

import numpy as np

KAPPA, OTHER_EVENT, OTHER_SIGN = 0.10, 0.05, 0.03
CLASSES = ["one", "cylinder", "few", "kind", "bank", "most"]
TABLE = {
    "station": [0.92, 0.03, 0.02, 0.01, 0.01, 0.01],
    "cylinder": [0.25, 0.65, 0.06, 0.01, 0.02, 0.01],
    "several": [0.08, 0.12, 0.60, 0.06, 0.04, 0.10],
    "kind": [0.05, 0.02, 0.20, 0.65, 0.02, 0.06],
    "bank": [0.05, 0.03, 0.20, 0.02, 0.62, 0.08],
    "all": [0.04, 0.02, 0.22, 0.10, 0.02, 0.60],
    "some": [0.55, 0.08, 0.25, 0.06, 0.02, 0.04],
    "leak": [0.50, 0.07, 0.20, 0.07, 0.04, 0.12],
}
SCOPES = ["station", "cylinder", "several", "kind", "bank", "all"]
LOCAL = {"station", "cylinder", "several"}

data = json.load(sys.stdin)
stations = data["stations"]  # [code, cylinder, bank, kind]
ALL = frozenset(range(len(stations)))


def part(column):
    groups = {}
    for number, station in enumerate(stations):
        groups.setdefault(station[column], set()).add(number)
    return {key: frozenset(value) for key, value in groups.items()}


CYLINDERS, BANKS, KINDS = part(1), part(2), part(3)
COVERED = {"engine": ALL, **BANKS, **CYLINDERS}
COVERED.update({station[0]: frozenset([i]) for i, station in enumerate(stations)})
COVERED.update({bank + "-" + kind: BANKS[bank] & KINDS[kind] for bank in BANKS for kind in KINDS})
FAILED = frozenset(i for i, station in enumerate(stations) if station[0] in data["failed"])

same = {}
if len(BANKS) == 1:
    same["bank"] = "most"
elif len(CYLINDERS) == len(BANKS):
    same["bank"] = "cylinder"
if len(CYLINDERS) == 1:
    same["cylinder"] = "most"
if max(len(kind) for kind in KINDS.values()) == 1:
    same["kind"] = "one"

causes = {cause["code"]: cause for cause in data["causes"]}
events = {event["code"]: event for event in data["events"]}
signs = {sign["code"]: sign for sign in data["signs"]}
leaving = {code: [link for link in sign["parents"]] for code, sign in signs.items()}


def ratio_at(c, leak):
    return c / (leak * c + (1 - leak) * (1 - c))


def kinds_of(region):
    return {kind for kind, of in KINDS.items() if of & region}


def marked(sign):
    return frozenset().union(*[COVERED[site] for site, c in sign["sites"].items() if c > 0.5])


def seen(sign):
    return frozenset().union(*[COVERED[site] for site in sign["sites"]])


for sign in signs.values():
    sign["present"] = any(c > 0.5 for c in sign["sites"].values())
    sign["placed"] = sign["site"] in ("station", "cylinder")
    sign["marked"], sign["seen"] = marked(sign), seen(sign)
    sign["denied"] = frozenset().union(*[COVERED[s] for s, c in sign["sites"].items() if c < 0.1 and not sign["relative"]])

# ---- which events matter, and how they hang together

wanted = {link["from"] for sign in signs.values() for link in sign["parents"]}
for code in reversed(list(events)):
    if code in wanted:
        wanted |= {link["from"] for link in events[code]["parents"]}
alive = [code for code in events if code in wanted]


def holds(link, form, kinds):
    return link["when"] in (None, form) and (link["at"] is None or kinds is None or link["at"] in kinds)


def paths(cause, form, kinds):
    """Strongest path from a form of a cause to each event."""
    best = {}
    for code, event in events.items():
        value = 0.0
        for link in event["parents"]:
            through = (1.0 if holds(link, form, kinds) else 0.0) if link["from"] == cause else best.get(link["from"], 0.0)
            value = max(value, through * link["w"])
        if value > 0:
            best[code] = value
    return best


leak = {
    code: KAPPA * sum(cause["prior"] * share * paths(name, form, None).get(code, 0.0) for name, cause in causes.items() for form, share in cause["forms"].items())
    for code in events
}


def below(event):
    """The event and everything that follows from it."""
    on = {event}
    for code, one in events.items():
        if any(link["from"] in on for link in one["parents"]):
            on.add(code)
    return on


def marks_of(reach):
    return FAILED.union(*[signs[s]["marked"] for s in reach if signs[s]["placed"]])


def signs_of(parents):
    return {code for code, sign in signs.items() if any(link["from"] in parents for link in sign["parents"])}


SUSPECT = {event: marks_of(signs_of(below(event))) for event in alive}


def contradicted(links):
    """links: (sign, link). Where what would nearly always leave a sign was looked for, is not, and no other such sign is."""
    gone, found = frozenset(), frozenset()
    for code, link in links:
        if link["w"] >= 0.95 and signs[code]["placed"]:
            gone |= signs[code]["denied"] & (ALL if link["at"] is None else KINDS[link["at"]])
            found |= signs[code]["marked"]
    return gone - found


def links_from(parent):
    return [(code, link) for code in signs for link in leaving[code] if link["from"] == parent]


DENIED = {event: contradicted(links_from(event)) for event in alive}

# ---- spread


def share(row, name):
    return sum(value for key, value in zip(CLASSES, TABLE[row]) if same.get(key, key) == name)


def one_sided(shares):
    return len(shares) == 2 and max(shares) >= 0.7 and min(shares) <= 0.2


def class_of(site, marks):
    if site == "cylinder":
        hit = [c for c in CYLINDERS.values() if c & marks]
        classes = {"one", "cylinder"} if len(hit) == 1 else set()
        each = len(CYLINDERS) // len(BANKS)
        if one_sided([sum(1 for c in CYLINDERS.values() if c & marks and c & bank) / each for bank in BANKS.values()]):
            classes.add("bank")
        if len(hit) >= 0.6 * len(CYLINDERS):
            classes |= {"kind", "most"}
        return classes or {"few"}
    if len(marks) == 1:
        return {"one"}
    if len(CYLINDERS) > 1 and any(marks <= c for c in CYLINDERS.values()):
        return {"cylinder"}
    for parts, name in ((KINDS, "kind"), (BANKS, "bank")):
        if one_sided([len(p & marks) / len(p) for p in parts.values()]):
            return {name}
    return {"most"} if len(marks) >= 0.6 * len(ALL) else {"few"}


def classes(site, marks, looked):
    unseen = ALL - looked
    fillings = [frozenset(), unseen] + [unseen & p for p in list(KINDS.values()) + list(BANKS.values())]
    fillings += [unseen & c for c in CYLINDERS.values() if c & marks]
    return {same.get(name, name) for filling in fillings for name in class_of(site, marks | filling)}


groups = {}
for code, sign in signs.items():
    if sign["present"] and sign["placed"] and sign["parents"]:
        strongest = max(sign["parents"], key=lambda link: link["w"])  # the first of equals
        groups.setdefault((sign["site"], strongest["from"]), []).append(code)
SPREAD = {}
for (site, _), members in groups.items():
    marks = frozenset().union(*[signs[m]["marked"] for m in members])
    looked = frozenset().union(*[signs[m]["seen"] for m in members])
    count = len(looked) if site == "station" else sum(1 for c in CYLINDERS.values() if c & looked)
    for member in members:
        SPREAD[member] = (min(1.0, (count - 1) / 7) / len(members), classes(site, marks, looked))


def spread(code, row):
    if code not in SPREAD:
        return 1.0
    power, names = SPREAD[code]
    return (sum(share(row, n) for n in names) / sum(share("leak", n) for n in names)) ** power


# ---- the ratio of a sign for a parent at work


def sites_in(site, region):
    parts = {"station": {i: frozenset([i]) for i in ALL}, "cylinder": CYLINDERS, "bank": BANKS}
    parts["cam"] = {bank + kind: BANKS[bank] & KINDS[kind] for bank in BANKS for kind in KINDS}
    return sum(1 for covered in parts[site].values() if covered & region)


def missed(sign, scope, region, row, elsewhere, suspect):
    if sign["relative"] and scope not in LOCAL:
        return 1.0
    looks = [(COVERED[s], ratio_at(c, sign["leak"])) for s, c in sign["sites"].items() if c <= 0.5 and COVERED[s] & region]
    if not looks:
        return 1.0
    n = sites_in(sign["site"], region)
    e = sum(1 - ratio for _, ratio in looks)
    if elsewhere:
        return 1 - e / n
    mean = sum(ratio for _, ratio in looks) / len(looks)
    if n == 1:
        return mean
    t = dict(zip(CLASSES, TABLE[row]))
    one, few, most = {"cylinder": (0.25, 0.06, 0.69), "several": (0.08, 0.12, 0.80)}.get(
        row, (t["one"], t["few"] + t["cylinder"], t["kind"] + t["bank"] + t["most"])
    )
    value = max(mean, one * (1 - e / n) + few * 0.75**e + most * 0.2**e)
    there = [ratio for covered, ratio in looks if covered & suspect]
    if not there:
        return value
    mean = sum(there) / len(there)
    return min(value, mean if len(there) == 1 else max(mean, 0.2 ** sum(1 - ratio for ratio in there)))


def ratio(code, place, mode, denied, led, suspect):
    """place: (scope, region, cover, elsewhere), or None for what came about by itself."""
    sign = signs[code]
    if sign["site"] == "engine":
        return ratio_at(max(sign["sites"].values()), sign["leak"])
    if place is None:
        best = [c for s, c in sign["sites"].items() if c > 0.5 and COVERED[s] & (ALL - denied)]
        return ratio_at(max(best), sign["leak"]) if best else missed(sign, "all", ALL, "leak", False, suspect)
    scope, region, cover, elsewhere = place
    row = "some" if mode == "some" and len(region) > 1 and not elsewhere else scope
    best = [c for s, c in sign["sites"].items() if c > 0.5 and COVERED[s] & (cover - denied)]
    if not best:
        return missed(sign, scope, region, row, elsewhere, suspect)
    marks = [COVERED[s] for s, c in sign["sites"].items() if c > 0.5]
    x = sum(1 for m in marks if not m & (led - denied)) / len(marks)
    y = min(1.0, max(0.0, (x - 0.1) / 0.4))
    return (ratio_at(max(best), sign["leak"]) * spread(code, row)) ** (1 - y) * 0.8**y


def denied_in(event, region):
    here = DENIED[event] & region
    return frozenset() if here == region else here


# ---- where a cause can be


class Placed:
    def __init__(self, cause, form, scope, region, cover, elsewhere, q):
        self.cause, self.form, self.q = cause, form, q
        self.place = (scope, region, cover, elsewhere)
        kinds = kinds_of(region)
        self.paths = {e: p for e, p in paths(cause, form, kinds).items() if e in alive}
        self.events = {e: link["w"] for e in alive for link in events[e]["parents"] if link["from"] == cause and holds(link, form, kinds)}
        self.signs = {s: link["w"] for s in signs for link in leaving[s] if link["from"] == cause and holds(link, form, kinds)}
        self.suspect = marks_of(signs_of(set(self.paths)) | set(self.signs))


def placed(cause):
    found = []
    scopes = dict(causes[cause]["scopes"])
    if len(BANKS) == 1:
        scopes.pop("bank", None)
    total = sum(scopes.values())
    for form, of_form in causes[cause]["forms"].items():
        to = paths(cause, form, None)
        reach = signs_of(set(to)) | {s for s, link in links_from(cause) if holds(link, form, None)}
        at = [s for s in signs if s in reach and signs[s]["placed"]]
        suspect = marks_of(reach)
        own = contradicted([(s, link) for s, link in links_from(cause) if holds(link, form, None)])

        def first(regions):
            ranked = sorted(regions, key=lambda r: (-sum(1 for s in at if signs[s]["marked"] & r), -len(r), sorted(r)))
            return ranked[:3]

        alike = {}
        for i in sorted(suspect):
            said = tuple(next((c for site, c in signs[s]["sites"].items() if i in COVERED[site]), None) for s in signs if s in reach)
            alike.setdefault((stations[i][3], i in FAILED, said), frozenset([i]))
        sets = [signs[s]["marked"] for s in at if signs[s]["present"]]
        sets += [frozenset().union(*sets), FAILED]
        named = [r for name, parts in (("cylinder", CYLINDERS), ("kind", KINDS), ("bank", BANKS), ("all", {"": ALL})) if name in scopes for r in parts.values()]
        regions = {
            "station": first(alike.values()),
            "cylinder": first([c for c in CYLINDERS.values() if c & suspect]),
            "several": first({r for r in sets if len(r) > 1 and r not in named}),
            "kind": list(KINDS.values()),
            "bank": list(BANKS.values()),
            "all": [ALL],
        }
        for scope in SCOPES:
            portion = scopes.get(scope, 0.0) / total
            if scope == "several":
                portion = max(portion, 0.2 * scopes.get("station", 0.0) / total)
            if portion <= 0:
                continue
            for region in regions[scope]:
                q = portion * of_form * (1.0 if not FAILED or region & FAILED else 1 / 3)
                found.append(Placed(cause, form, scope, region, region - own or region, False, q))
            if scope in ("station", "cylinder"):
                clear = lambda gone: ALL - gone.union(*[c for c in CYLINDERS.values() if scope == "cylinder" and c & gone])
                rest = clear(FAILED.union(*[signs[s]["seen"] for s in at]))
                rest = rest or clear(FAILED.union(*[signs[s]["marked"] for s in at]))
                if rest:
                    q = portion * of_form * len(rest) / len(ALL) * (1 / 3 if FAILED else 1.0)
                    found.append(Placed(cause, form, scope, rest, rest, True, q))
    return found


# ---- the likelihood of an explanation

NUMBER = {event: i for i, event in enumerate(alive)}
plan = {}


def together(one, other):
    if one == other:
        return one
    if one[3] and other[3]:
        return min(one, other, key=order_of)
    scope = SCOPES[max(SCOPES.index(one[0]), SCOPES.index(other[0]))]
    if one[0] == other[0]:
        scope = {"station": "several", "cylinder": "several", "kind": "all", "bank": "all"}.get(one[0], one[0])
    return (scope, one[1] | other[1], one[2] | other[2], False)


def order_of(place):
    bits = [sum(1 << i for i in part) for part in (place[1], place[2])]
    size = (len(ALL) + 7) // 8
    return (place[0].encode(), *[b.to_bytes(size, "little") for b in bits])


def joint(members, other=False):
    """The factors of the evidence with these at work: (events, array), and a constant."""
    where, ranks = {}, {}
    for member in members:
        for event, path in member.paths.items():
            rank = (path >= 0.4) + (path >= 0.1)
            if event not in where:
                where[event], ranks[event] = member.place, rank
            elif where[event][3] != member.place[3]:
                where[event] = member.place if where[event][3] else where[event]
            elif rank != ranks[event]:
                where[event] = member.place if rank > ranks[event] else where[event]
            else:
                where[event] = together(where[event], member.place)
    factors, constant = [], 1.0
    for event in alive:
        parents = [link for link in events[event]["parents"] if link["from"] in NUMBER]
        off = (1 - leak[event]) * (1 - OTHER_EVENT if other else 1.0)
        for member in members:
            off *= 1 - member.events.get(event, 0.0)
        array = np.empty([2] * (len(parents) + 1))
        for states in itertools.product((0, 1), repeat=len(parents)):
            none = off * math.prod(1 - link["w"] for link, on in zip(parents, states) if on)
            array[(*states, 0)], array[(*states, 1)] = none, 1 - none
        factors.append(([link["from"] for link in parents] + [event], array))
    for code, sign in signs.items():
        links = [link for link in leaving[code] if link["from"] in NUMBER]
        direct = [member for member in members if code in member.signs]
        led = frozenset().union(*[where[link["from"]][2] for link in links if link["from"] in where], *[m.place[2] for m in direct])
        terms = []
        for link in links:
            event = link["from"]
            place = where.get(event)
            w = link["w"] if link["at"] is None or place is None or KINDS[link["at"]] & place[1] else 0.0
            denied = DENIED[event] if place is None else denied_in(event, place[1])
            terms.append((w, ratio(code, place, events[event]["mode"], denied, led if sign["present"] else None, SUSPECT[event])))
        always = [(m.signs[code], ratio(code, m.place, "same", frozenset(), led, m.suspect)) for m in direct]
        if other:
            always.append((OTHER_SIGN, ratio(code, None, "same", frozenset(), None, frozenset())))
        array = np.empty([2] * len(links))
        for states in itertools.product((0, 1), repeat=len(links)):
            active = [term for term, on in zip(terms, states) if on] + always
            if sign["present"]:
                none = math.prod(1 - w for w, _ in active)
                weight = sum(w for w, _ in active)
                array[states] = none + (1 - none) * sum(w * r for w, r in active) / weight if weight else 1.0
            else:
                array[states] = math.prod(1 - w * (1 - r) for w, r in active)
        factors.append(([link["from"] for link in links], array))
    return factors


def contract(factors, replaced=None):
    operands = []
    if not any(scope for scope, _ in factors):
        return math.prod(float(array) for _, array in factors)
    for i, (scope, array) in enumerate(factors):
        operands += [replaced[1] if replaced and replaced[0] == i else array, [NUMBER[e] for e in scope]]
    operands.append([])
    if "path" not in plan:
        plan["path"] = np.einsum_path(*operands, optimize="greedy")[0]
    return float(np.einsum(*operands, optimize=plan["path"]))


known = {}


def carried(cause):
    """Nine decibans for each failure that came again with the component carried, as much against for each with it new; half of that
    for runs without trouble, the other way round; at most 15."""
    known = [data["carried"][c] for c in causes[cause]["resides"] if c in data["carried"]]
    weights = [max(-15.0, min(15.0, 9.0 * (old - new) + 4.5 * (fresh - ran))) for old, new, ran, fresh in known]
    return 10 ** (max(weights) / 10) if weights else 1.0


def likelihood(*members):
    key = tuple(sorted(id(m) for m in members))
    if key not in known:
        known[key] = contract(joint(members))
    return known[key]


def probability(event, *members):
    """P(event | evidence, these at work)."""
    factors = joint(members)
    i = alive.index(event)
    only = factors[i][1].copy()
    only[..., 0] = 0.0
    return contract(factors, (i, only)) / contract(factors)


# ---- the posterior

none = likelihood()
damage = FAILED or any(
    s["present"] and (s["gross"] or (s["leak"] <= 0.015 and not s["report"] and max(s["sites"].values()) >= 0.9)) for s in signs.values()
)
start_of_none = 0.25 if damage else 1.0
prior = {c: cause["prior"] for c, cause in causes.items()}
mass, members_of = {}, {}


def keep(members, weight):
    members = list(members)
    while members:
        worth = [likelihood(*members) / likelihood(*[m for m in members if m is not one]) for one in members]
        if min(worth) >= 1.5:
            break
        members.pop(worth.index(min(worth)))
    add(members, weight)


def add(members, weight):
    """What was carried is suspect only where it explains something."""
    weight *= math.prod(carried(m.cause) for m in members)
    key = tuple(m.cause for m in members)
    mass[key] = mass.get(key, 0.0) + weight
    if key not in members_of or weight > members_of[key][1]:
        members_of[key] = (members, weight)


PLACED = {c: placed(c) for c in causes}
taking, strongest, alone = {}, {}, {}
for c in causes:
    by = {}
    for p in PLACED[c]:
        key = (p.place[0], p.form)
        if key not in by or p.q * likelihood(p) > by[key][1]:
            by[key] = (p, p.q * likelihood(p))
    strongest[c] = max((likelihood(p) / none for p in PLACED[c]), default=0.0)
    alone[c] = 0.0
    for p, weight in by.values():
        alone[c] += 0.77 * prior[c] * weight
        keep([p], 0.77 * prior[c] * weight)
    ordered = sorted(by.values(), key=lambda one: -one[1])
    taking[c] = [p for p, _ in ordered[:1]]
    for is_other in (lambda p: (p.place[0] in LOCAL) != (taking[c][0].place[0] in LOCAL), lambda p: p.form != taking[c][0].form):
        more = [p for p, weight in ordered if is_other(p) and weight >= 1e-3 * ordered[0][1]][:1]
        taking[c] += [p for p in more if p not in taking[c]]

both = sum(prior[a] * prior[b] for a, b in itertools.combinations(causes, 2))
least = 1e-4 * max([start_of_none * none, *alone.values()])
for a, b in itertools.combinations([c for c in causes if taking[c]], 2):
    weight = 0.25 * prior[a] * prior[b] / both
    p, q = taking[a][0], taking[b][0]
    short = weight * p.q * q.q * likelihood(p) * likelihood(q) / none
    if min(strongest[a], strongest[b]) < 1.5 or short < least:
        add([one for one in (p, q) if likelihood(one) >= 1.5 * none], short)
        continue
    tried = [(p, q)] + [(one, q) for one in taking[a][1:]] + [(p, one) for one in taking[b][1:]]
    best = max(tried, key=lambda pair: pair[0].q * pair[1].q * likelihood(*pair))
    keep(best, weight * best[0].q * best[1].q * likelihood(*best))

other = 0.08 * contract(joint([], True))
nothing = start_of_none * none + mass.pop((), 0.0) + other
total = nothing + sum(mass.values())
unexplained = nothing / total
explanations = sorted(((key, weight / total) for key, weight in mass.items()), key=lambda one: -one[1])
of = {c: sum(p for key, p in explanations if c in key) for c in causes}
best_place = {c: taking[c][0] for c in causes if taking[c]}

# ---- events


def event_probability(event):
    shares = [(unexplained, [])] + [(p, members_of[key][0]) for key, p in explanations[:12]]
    return sum(share * probability(event, *members) for share, members in shares) / sum(share for share, _ in shares)


def own_mark(event):
    return any(
        signs[s]["present"] and not signs[s]["report"] and link["w"] >= 0.5 and (not signs[s]["bench"] or max(signs[s]["sites"].values()) >= 0.9)
        for s, link in links_from(event)
    )


def is_denied(event):
    marks = frozenset().union(*[signs[s]["marked"] for s, _ in links_from(event)])
    return any(
        link["w"] >= 0.95 and not signs[s]["present"] and not signs[s]["relative"]
        and any(c <= 0.5 and ratio_at(c, signs[s]["leak"]) < 0.1 and COVERED[site] & marks for site, c in signs[s]["sites"].items())
        for s, link in links_from(event)
    )


chances = {event: event_probability(event) for event in alive}
established = [e for e in alive if own_mark(e) and not is_denied(e) and chances[e] >= 0.9]

# ---- naming


def without_reports():
    """The likelihoods again, with everything that was only told taken out."""
    kept = dict(signs)

    def of_members(members):
        for code in [c for c, s in kept.items() if s["report"]]:
            signs.pop(code, None)
        plan.pop("path", None)
        value = contract(joint(members))
        signs.update(kept)
        for code in kept:  # the order of the signs stays
            signs[code] = signs.pop(code)
        plan.pop("path", None)
        return value

    return of_members


SEEN = without_reports()


def rivalry(cause, key):
    return sum(p for names, p in explanations if cause in names and not set(names) & set(key))


def gain(members):
    return 10 * math.log10(likelihood(*members) * math.prod(carried(m.cause) for m in members) / none)


def seen_gain(members):
    return 10 * math.log10(SEEN(members) / SEEN([]))


def may_be_named(key, members, share):
    rivals = {c: rivalry(c, key) for c in best_place if c not in key}
    inside = min(of[c] for c in key)
    if gain(members) < 10 or inside < 0.5 or inside < 2 * max(rivals.values(), default=0.0) or unexplained >= 0.3:
        return False
    for c, weight in rivals.items():
        if weight >= 0.02:
            over = 0.0 if weight <= 0.25 * inside else 3.0
            for m in range(len(members)):
                with_it = [best_place[c] if i == m else one for i, one in enumerate(members)]
                if gain(members) - gain(with_it) < over:
                    return False
    return seen_gain(members) >= 3


def speaking(weights):
    ordered = sorted(weights.items(), key=lambda one: -one[1])
    least = max(0.05, 0.2 * ordered[0][1]) if ordered else 1.0
    return [c for c, weight in ordered[:3] if weight >= least]


def verdict():
    best = next(((key, p) for key, p in explanations if len(key) == 1 or p > 0.25), None)
    if best is None:
        return ("open_between" if established else "not_enough_evidence"), [], []
    key, share = best
    members = members_of[key][0]
    if may_be_named(key, members, share):
        told = []
        if len(members) == 2:
            told = [m.cause for m in members if SEEN(members) < 1.5 * SEEN([o for o in members if o is not m])]
            told = told if len(told) < 2 else []
        return "leader", [c for c in key if c not in told], []
    if len(key) == 2:
        first = key[0] if of[key[0]] >= of[key[1]] else key[1]
        if may_be_named((first,), [best_place[first]], of[first]):
            beside = {}
            for names, p in explanations:
                if first in names:
                    for c in names:
                        if c != first:
                            beside[c] = beside.get(c, 0.0) + p
            return "leader_and_open", [first], speaking(beside)
    open_between = speaking({c: p for c, p in of.items() if p > 0})
    if established:
        return "open_between", [], open_between
    first = max(of, key=of.get)
    held = sum(p for names, p in explanations if set(names) & set(open_between))
    if gain([best_place[first]]) >= 10 and any(seen_gain([best_place[c]]) >= 3 for c in open_between) and held >= 0.5 and unexplained < 0.4:
        return "open_between", [], open_between
    return "not_enough_evidence", [], []


standing, leading, open_causes = verdict()
print(json.dumps([{
    "none": none,
    "likelihoods": {c: sorted(likelihood(p) for p in PLACED[c]) for c in causes},
    "probability": of,
    "unexplained": unexplained,
    "explanations": [[sorted(key), p] for key, p in explanations[:20]],
    "regions": {c: sorted(stations[i][0] for i in p.place[1]) for c, p in best_place.items()},
    "standing": standing,
    "leading": sorted(leading),
    "open": sorted(open_causes),
    "established": sorted(established),
    "events": chances,
}]))
