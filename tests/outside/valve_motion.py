"""Valve motion by solve_ivp, knowing nothing of the product's way through its cells: one equation for each state of contact, integrated
until a contact changes, looked at again, and on. Reads trains, their lobe's nodes and speeds as JSON, writes what each turn gave."""
import json
import sys
from math import sqrt
from multiprocessing import Pool

from scipy.integrate import solve_ivp

BOUNCE = 10e-6


def turn(job):
    train, speed, rtol = job
    first, nodes = train['first'], train['nodes']
    m, ratio, lash, kv = train['mass'], train['ratio'], train['lash'], train['stiffness']
    load, k, ks = train['load'], train['rate'], train['seat_stiffness']
    spring_mass = train.get('spring_mass', 0.0)
    cv, cs, cg = 2 * train['damping'] * sqrt(kv * m), 2 * train['seat_damping'] * sqrt(ks * m), 2 * train['spring_damping'] * sqrt(k * m)
    degrees = 3.0 * speed
    cells = []
    for (s0, v0, a0), (s1, v1, a1) in zip(nodes, nodes[1:]):
        up = s1 - s0
        cells.append((s0, v0, a0 / 2, 10 * up - 6 * v0 - 4 * v1 - 1.5 * a0 + 0.5 * a1, -15 * up + 8 * v0 + 7 * v1 + 1.5 * a0 - a1,
                      6 * up - 3 * v0 - 3 * v1 - 0.5 * a0 + 0.5 * a1))
    count = len(cells)

    def lobe(t):
        at = degrees * t
        i = int(at)
        if i < 0 or i >= count:
            return 0.0, 0.0, 0.0
        x = at - i
        c0, c1, c2, c3, c4, c5 = cells[i]
        return (c0 + x * (c1 + x * (c2 + x * (c3 + x * (c4 + x * c5)))),
                (c1 + x * (2 * c2 + x * (3 * c3 + x * (4 * c4 + x * 5 * c5)))) * degrees,
                (2 * c2 + x * (6 * c3 + x * (12 * c4 + x * 20 * c5))) * degrees ** 2)

    def push(t, z):
        s, v, _ = lobe(t)
        d = ratio * s - lash - z[0]
        return d, kv * d + cv * (ratio * v - z[1])

    def seat(z):
        return -z[0], -ks * z[0] - cs * z[1]

    def pull(contact, seated, t, z):
        return (push(t, z)[1] if contact else 0.0) + (seat(z)[1] if seated else 0.0) - load - k * z[0] - cg * z[1]

    def motion(contact, seated):
        return lambda t, z: (z[1], pull(contact, seated, t, z) / m)

    def ended(function, direction, terminal):
        function.terminal, function.direction = terminal, direction
        return function

    def events(contact, seated):
        def slope_of_force(t, z):
            _, v, a = lobe(t)
            return kv * (ratio * v - z[1]) + cv * (ratio * a - pull(contact, seated, t, z) / m)
        return [
            ended(lambda t, z: push(t, z)[1] if contact else min(push(t, z)), -1 if contact else 1, True),
            ended(lambda t, z: seat(z)[1] if seated else min(seat(z)), -1 if seated else 1, True),
            ended(lambda t, z: z[1], -1, False),
            ended(lambda t, z: z[1] - ratio * lobe(t)[1], -1, False),
            ended(slope_of_force, -1, False),
        ]

    rest = -load / (k + ks)
    state, contact, seated, begins = [rest, 0.0], False, True, None
    nose = train['peak'] - first
    full = train['full_lift']
    for _ in range(12):
        begins = list(state)
        t, end = 0.0, 360 / degrees
        highest = gap = landing = bounce = peak = rise = 0.0
        bounces, landed = 0, False
        lifts = []
        wanted = [i / degrees for i in range(count + 1)]
        while t < end:
            stop = min(end, (int(t * degrees + 1e-9) + 400) / degrees)
            inside = [w for w in wanted if t <= w <= stop]
            found = solve_ivp(motion(contact, seated), (t, stop), state, method='DOP853', rtol=rtol, atol=1e-14,
                              events=events(contact, seated), t_eval=None, max_step=1 / degrees, dense_output=True)
            upto = found.t[-1]
            lifts += [(round(w * degrees), found.sol(w)[0]) for w in inside if w < upto]
            for at, z in zip(found.t_events[2], found.y_events[2]):
                highest, rise = max(highest, z[0]), max(rise, z[0])
            if not contact:
                for at, z in zip(found.t_events[3], found.y_events[3]):
                    if ratio * lobe(at)[0] > lash:
                        gap = max(gap, -push(at, z)[0])
            else:
                for at, z in zip(found.t_events[4], found.y_events[4]):
                    peak = max(peak, push(at, z)[1])
                peak = max(peak, push(upto, found.y[:, -1])[1])
            t, state = upto, [float(one) for one in found.y[:, -1]]
            if found.status == 1:
                if found.t_events[0].size:
                    contact = not contact
                if found.t_events[1].size:
                    if not seated and t * degrees >= nose:
                        landing = max(landing, -state[1])
                        if landed and rise > BOUNCE:
                            bounces, bounce = bounces + 1, max(bounce, rise)
                        landed = True
                    if seated:
                        rise = 0.0
                    seated = not seated
                # A hair on, so that the same change is not found once more.
                z1 = pull(contact, seated, t, state) / m
                hair = 1e-3 / degrees * 1e-3
                state = [state[0] + state[1] * hair + z1 * hair ** 2 / 2, state[1] + z1 * hair]
                t += hair
            elif t * degrees >= count and not contact and seated and abs(state[0] - rest) + abs(state[1]) / degrees < 1e-11:
                state = [rest, 0.0]
                break
        if abs(state[0] - begins[0]) < 1e-9 and abs(state[1] - begins[1]) / degrees < 1e-9:
            break
    return {'speed': speed, 'loft': max(0.0, highest - full), 'gap': gap, 'landing': landing, 'bounces': bounces, 'bounce': bounce,
            'peak': peak, 'lifts': lifts}


if __name__ == '__main__':
    asked = json.load(sys.stdin)
    jobs = [(train, speed, asked.get('rtol', 1e-11)) for train in asked['trains'] for speed in train['speeds']]
    with Pool(asked.get('processes', 2)) as pool:
        json.dump(pool.map(turn, jobs, 1), sys.stdout)
