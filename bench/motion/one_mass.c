/* The one-mass model of core/Motion/OneMass.php, line by line in C, for the ratio that bench/motion.php shows. A spring of one straight
 * piece. Reads a train and the nodes of its lobe from standard input, sweeps the speeds, prints what each turn gave and, last, the
 * processor seconds that one sweep took. */
#include <math.h>
#include <stdio.h>
#include <stdlib.h>
#include <string.h>
#include <time.h>

#define TERMS 40
#define NOTHING 1e-12
#define WIDEST 3.0
#define AFTER 1e-3
#define SAMPLES 2
#define MOST_CHANGES 40
#define MOST_TURNS 12
#define SAME 1e-9
#define BOUNCE 10e-6
#define CLEAR 2e-5
#define NEAR_PEAK 0.6
#define MOST_NODES 20000

typedef struct { double a, b, c, d, x, v, gx[6], gv[6], kappa, gamma, constant, alpha, beta; int made; } Mode;

static double mass, ratio, lash, stiffness, preload, rate, damping_share, spring_damping_share, seat_stiffness, seat_damping_share;
static int first, nodes, peak_degree;
static double coarse[3][2000];
static double lift[MOST_NODES], slope[MOST_NODES], bend[MOST_NODES];
static int count, parts;
static double cell, damping_over, seat_over, spring_damping, full_lift;
static Mode modes[4];
static double highest, gap, lost, landing, peak, rise, bounce;
static int bounces, landed, parted;

static void powers_of(double s0, double v0, double a0, double s1, double v1, double a1, double *out) {
    double up = s1 - s0;
    out[0] = s0; out[1] = v0; out[2] = a0 / 2;
    out[3] = 10 * up - 6 * v0 - 4 * v1 - 1.5 * a0 + 0.5 * a1;
    out[4] = -15 * up + 8 * v0 + 7 * v1 + 1.5 * a0 - a1;
    out[5] = 6 * up - 3 * v0 - 3 * v1 - 0.5 * a0 + 0.5 * a1;
}

static double response(int power, double kappa, double gamma) {
    double before = 0, now = 1.0 / ((power + 1.0) * (power + 2)), end = now;
    for (int n = power + 1; n < TERMS; ++n) {
        double next = (-gamma * (n + 1) * now - kappa * before) / ((n + 1.0) * (n + 2));
        end += next;
        before = now; now = next;
        if (fabs(now) <= NOTHING && fabs(before) <= NOTHING) break;
    }
    return end;
}

static const double POWERS[6][6] = {
    {1, 0, 0, -10, 15, -6}, {0, 1, 0, -6, 8, -3}, {0, 0, 0.5, -1.5, 1.5, -0.5}, {0, 0, 0, 10, -15, 6}, {0, 0, 0, -4, 7, -3},
    {0, 0, 0, 0.5, -1, 0.5},
};

static Mode *mode_of(int mode) {
    Mode *m = &modes[mode];
    if (m->made) return m;
    int contact = mode & 1, seat = (mode & 2) != 0;
    double per = cell * cell / mass, power[6], b;
    m->kappa = per * (rate + (contact ? stiffness : 0) + (seat ? seat_stiffness : 0));
    m->gamma = per * (spring_damping / cell + (contact ? damping_over : 0) + (seat ? seat_over : 0));
    m->constant = -per * (preload + (contact ? stiffness * lash : 0));
    m->alpha = contact ? per * stiffness * ratio : 0;
    m->beta = contact ? per * damping_over * ratio : 0;
    power[5] = response(5, m->kappa, m->gamma);
    power[4] = response(4, m->kappa, m->gamma);
    for (int j = 3; j >= 0; --j)
        power[j] = (1 - m->gamma * (j + 2) * power[j + 1] - m->kappa * power[j + 2]) / ((j + 1.0) * (j + 2));
    b = 1 - m->gamma * power[0] - m->kappa * power[1];
    m->a = 1 - m->kappa * power[0]; m->b = b; m->c = -m->kappa * b; m->d = 1 - m->gamma * b - m->kappa * power[0];
    m->x = m->constant * power[0]; m->v = m->constant * b;
    for (int i = 0; i < 6; ++i) {
        m->gx[i] = m->gv[i] = 0;
        for (int j = 0; contact && j < 6; ++j) {
            m->gx[i] += POWERS[i][j] * (m->alpha * power[j] + (j > 0 ? m->beta * j * power[j - 1] : 0));
            m->gv[i] += POWERS[i][j] * (m->alpha * (j > 0 ? j * power[j - 1] : b)
                + (j > 1 ? m->beta * j * (j - 1) * power[j - 2] : j > 0 ? m->beta * b : 0));
        }
    }
    m->made = 1;
    return m;
}

static void cell_powers(int i, double *out) {
    if (i + 1 < count) powers_of(lift[i], slope[i], bend[i], lift[i + 1], slope[i + 1], bend[i + 1], out);
    else memset(out, 0, 6 * sizeof *out);
}

static void about(const double *in, double at, double *out) {
    memcpy(out, in, 6 * sizeof *out);
    for (int i = 0; i < 5; ++i) for (int j = 4; j >= i; --j) out[j] += at * out[j + 1];
}

static int series_of(double y, double w, int mode, const double *powers, double *series) {
    Mode *m = mode_of(mode);
    double forcing[6] = {m->constant}, before = y, now = w, next;
    if (mode & 1) {
        for (int j = 0; j < 6; ++j) forcing[j] += m->alpha * powers[j] + (j < 5 ? m->beta * (j + 1) * powers[j + 1] : 0);
    }
    series[0] = y; series[1] = w;
    int n = 0;
    for (; n < TERMS; ++n) {
        next = ((n < 6 ? forcing[n] : 0) - m->gamma * (n + 1) * now - m->kappa * before) / ((n + 1.0) * (n + 2));
        series[n + 2] = next;
        before = now; now = next;
        if (n > 4 && fabs(now) <= NOTHING && fabs(before) <= NOTHING) { ++n; break; }
    }
    return n + 2;
}

static void state_at(const double *series, int terms, double at, double *y, double *w) {
    *y = *w = 0;
    for (int n = terms - 1; n >= 0; --n) { *w = *w * at + *y; *y = *y * at + series[n]; }
}

static double turning(double y0, double w0, double y1, double w1) {
    double c2 = 3 * (y1 - y0) - 2 * w0 - w1, c3 = 2 * (y0 - y1) + w0 + w1;
    double root = sqrt(fmax(0, c2 * c2 - 3 * c3 * w0)), t = w0 > 0 ? -w0 / (c2 - root) : -w0 / (c2 + root);
    return y0 + t * (w0 + t * (c2 + t * c3));
}

static double force_at(const double *series, int terms, const double *powers, double at) {
    double y, w, s, p;
    state_at(series, terms, at, &y, &w);
    state_at(powers, 6, at, &s, &p);
    return stiffness * (ratio * s - lash - y) + damping_over * (ratio * p - w);
}

static double signal_at(const double *powers, int mode, int which, double at, double y, double w) {
    if (which == 1) {
        double s, p;
        state_at(powers, 6, at, &s, &p);
        double d = stiffness * (ratio * s - lash - y), f = d + damping_over * (ratio * p - w);
        return mode & 1 ? f : -fmin(d, f);
    }
    double seat = -seat_stiffness * y, on = seat - seat_over * w;
    return mode & 2 ? on : -fmin(seat, on);
}

static double root_of(const double *series, int terms, const double *powers, int mode, int which, double from, double to, double last,
    double *y, double *w) {
    double y0, w0;
    state_at(series, terms, from, &y0, &w0);
    double begin = signal_at(powers, mode, which, from, y0, w0);
    if (begin <= 0) { *y = y0; *w = w0; return from; }
    int side = 0;
    for (int turn = 0; turn < 60 && to - from > 1e-12; ++turn) {
        double at = (from * last - to * begin) / (last - begin);
        state_at(series, terms, at, &y0, &w0);
        double now = signal_at(powers, mode, which, at, y0, w0);
        if (fabs(now) < 1e-7 * preload) { *y = y0; *w = w0; return at; }
        if (now > 0) { from = at; begin = now; if (side == 1) last /= 2; side = 1; }
        else { to = at; last = now; *y = y0; *w = w0; if (side == -1) begin /= 2; side = -1; }
    }
    return to;
}

static int first_change(const double *series, int terms, const double *powers, int mode, double width, int after, double nextY, double nextW,
    double *at, double *y, double *w) {
    double earlier = after ? fmin(AFTER, width) : 0;
    *y = series[0]; *w = series[1];
    for (int sample = 1; sample <= SAMPLES; ++sample) {
        double later = width * sample / SAMPLES, hereY = nextY, hereW = nextW, firstY = 0, firstW = 0;
        if (later <= earlier) continue;
        int found = 0;
        if (later != 1 || after) state_at(series, terms, later, &hereY, &hereW);
        for (int which = 1; which <= 2; ++which) {
            if (which == 2 && hereY > CLEAR) continue;
            double signal = signal_at(powers, mode, which, later, hereY, hereW);
            if (signal < 0) {
                double rootY = hereY, rootW = hereW;
                double root = root_of(series, terms, powers, mode, which, earlier, later, signal, &rootY, &rootW);
                if (!found || root < *at) { *at = root; found = which; firstY = rootY; firstW = rootW; }
            }
        }
        if (found) { *y = firstY; *w = firstW; return found; }
        *y = hereY; *w = hereW;
        earlier = later;
    }
    return 0;
}

static void note_forces(const double *series, int terms, const double *powers, double end) {
    double start = force_at(series, terms, powers, 0), last = force_at(series, terms, powers, end);
    peak = fmax(peak, last);
    if (fmax(start, last) <= NEAR_PEAK * peak) return;
    double middle = force_at(series, terms, powers, 0.5 * end);
    if (fmax(fmax(start, last), middle) + 0.5 * fabs(start - 2 * middle + last) <= peak) return;
    double f[5] = {start, force_at(series, terms, powers, 0.25 * end), middle, force_at(series, terms, powers, 0.75 * end), last};
    for (int q = 1; q < 4; ++q) {
        double bow = f[q - 1] - 2 * f[q] + f[q + 1], d = f[q + 1] - f[q - 1];
        peak = fmax(peak, f[q] >= f[q - 1] && f[q] >= f[q + 1] && bow < 0 ? f[q] - d * d / (8 * bow) : f[q]);
    }
}

static void within(int i, double *y, double *w, int *mode, int past, double nextY, double nextW) {
    double whole[6], powers[6], series[TERMS + 2], from = 0;
    cell_powers(i, whole);
    int asks = i + 1 < count && ratio * lift[i + 1] > lash;
    for (int change = 0; change < MOST_CHANGES; ++change) {
        about(whole, from, powers);
        int terms = series_of(*y, *w, *mode, powers, series);
        double width = 1 - from, end = width, y1, w1;
        int which = first_change(series, terms, powers, *mode, width, change > 0, nextY, nextW, &end, &y1, &w1);
        if (!which) end = width;
        double w0 = series[1] * end, we = w1 * end;
        if (w0 > 0 && we <= 0) { double top = turning(series[0], w0, y1, we); highest = fmax(highest, top); rise = fmax(rise, top); }
        if (*mode & 1) {
            note_forces(series, terms, powers, end);
        } else if (asks) {
            double s1, p1;
            if (!(*mode & 2)) lost += end;
            state_at(powers, 6, end, &s1, &p1);
            if (powers[2] < 0 && ratio * s1 - lash < y1) parted = 1;
            double e0 = (ratio * powers[1] - series[1]) * end, e1 = ratio * p1 * end - we;
            if (e0 < 0 && e1 >= 0) gap = fmax(gap, -turning(ratio * powers[0] - lash - series[0], e0, ratio * s1 - lash - y1, e1));
        }
        *y = y1; *w = w1;
        if (!which) return;
        if (which == 2) {
            if (!(*mode & 2)) {
                if (past) {
                    landing = fmax(landing, -w1);
                    if (landed && rise > BOUNCE) { ++bounces; bounce = fmax(bounce, rise); }
                    landed = 1;
                }
            } else rise = 0;
        }
        *mode ^= which;
        from += end;
    }
}

static int dips(double y0, double w0, double y1, double w1, int i, double f0, double f1, Mode *m) {
    double s0 = lift[i], p0 = slope[i], a0 = bend[i], s1 = i + 1 < count ? lift[i + 1] : 0, p1 = i + 1 < count ? slope[i + 1] : 0,
        a1 = i + 1 < count ? bend[i + 1] : 0;
    double g0 = stiffness * (ratio * p0 - w0)
        + damping_over * (ratio * a0 - (m->constant + m->alpha * s0 + m->beta * p0 - m->gamma * w0 - m->kappa * y0));
    double g1 = stiffness * (ratio * p1 - w1)
        + damping_over * (ratio * a1 - (m->constant + m->alpha * s1 + m->beta * p1 - m->gamma * w1 - m->kappa * y1));
    return g0 < 0 && g1 > 0 && turning(f0, g0, f1, g1) < 0;
}

static void go_round(double *y_, double *w_, int *mode_) {
    double y = *y_, w = *w_, seated = -preload / (rate + seat_stiffness), quiet = 0.5 * fabs(seated), before = 0;
    int mode = *mode_, last = count - 1, round_ = 360 * parts, nose = (peak_degree - first) * parts, watched = 0, begin = 0;
    while (mode == 2 && w == 0 && begin < nose && ratio * lift[begin + 1] - lash < y) ++begin;
    double s0 = lift[begin], p0 = slope[begin], a0 = bend[begin], d0 = ratio * s0 - lash - y, e0 = ratio * p0 - w, f0 = stiffness * d0 + damping_over * e0;
    for (int i = begin; i < round_; ++i) {
        double s1 = 0, p1 = 0, a1 = 0;
        if (i >= last) {
            double left = fabs(y - seated) + fabs(w);
            if (mode == 2 && left < quiet && left * exp(-seat_over * cell * cell / (2 * mass) * (round_ - i)) < 0.1 * SAME) { y = seated; w = 0; break; }
        } else { s1 = lift[i + 1]; p1 = slope[i + 1]; a1 = bend[i + 1]; }
        Mode *m = mode_of(mode);
        if (mode == 1 && watched == 0) {
            double least = 0.25 * peak;
            for (; i < last; ++i) {
                s1 = lift[i + 1]; p1 = slope[i + 1]; a1 = bend[i + 1];
                double y1 = m->a * y + m->b * w + m->x + m->gx[0] * s0 + m->gx[1] * p0 + m->gx[2] * a0 + m->gx[3] * s1 + m->gx[4] * p1 + m->gx[5] * a1;
                double w1 = m->c * y + m->d * w + m->v + m->gv[0] * s0 + m->gv[1] * p0 + m->gv[2] * a0 + m->gv[3] * s1 + m->gv[4] * p1 + m->gv[5] * a1;
                double f1 = stiffness * ratio * s1 + damping_over * ratio * p1 - stiffness * lash - stiffness * y1 - damping_over * w1;
                if (f1 < least || y1 < CLEAR || (w > 0 && w1 <= 0) || (f1 < f0 && f0 >= before && f0 > 0.98 * peak)) break;
                before = f0;
                if (f1 > peak) { peak = f1; least = 0.25 * peak; }
                y = y1; w = w1; s0 = s1; p0 = p1; a0 = a1; f0 = f1;
            }
            d0 = ratio * s0 - lash - y; e0 = ratio * p0 - w;
            if (i >= last) s1 = p1 = a1 = 0;
        }
        double y1 = m->a * y + m->b * w + m->x, w1 = m->c * y + m->d * w + m->v;
        if (mode & 1) {
            y1 += m->gx[0] * s0 + m->gx[1] * p0 + m->gx[2] * a0 + m->gx[3] * s1 + m->gx[4] * p1 + m->gx[5] * a1;
            w1 += m->gv[0] * s0 + m->gv[1] * p0 + m->gv[2] * a0 + m->gv[3] * s1 + m->gv[4] * p1 + m->gv[5] * a1;
        }
        double d1 = ratio * s1 - lash - y1, e1 = ratio * p1 - w1, f1 = stiffness * d1 + damping_over * e1;
        int holds = mode & 1 ? f1 > 0 && (f0 + f1 > 0.25 * peak || !dips(y, w, y1, w1, i, f0, f1, m)) : !(d1 > 0 && f1 > 0);
        holds = holds && (mode & 2 ? seat_stiffness * y1 + seat_over * w1 < 0
            : y1 >= 0 && (y1 + y > CLEAR || w >= 0 || w1 <= 0 || y - w * w / fmax(2 * (w1 - w), 1e-30) > 0));
        if (holds) {
            if (mode & 1) {
                if (watched == 0 && f0 > peak * 0.98 && f0 >= f1 && f0 >= before && before > 0) {
                    double bow = before - 2 * f0 + f1;
                    peak = fmax(peak, bow < 0 ? f0 - (f1 - before) * (f1 - before) / (8 * bow) : f0);
                }
                if (watched > 0) {
                    double powers[6], series[TERMS + 2];
                    --watched;
                    if (fmax(f0, f1) > NEAR_PEAK * peak) {
                    cell_powers(i, powers);
                    int terms = series_of(y, w, mode, powers, series);
                    note_forces(series, terms, powers, 1);
                    }
                }
                peak = fmax(peak, f1);
                before = f0;
            } else {
                before = 0;
                if (ratio * s1 > lash) {
                    if (!(mode & 2)) lost += 1;
                    if (a1 < 0 && d1 < 0) parted = 1;
                    if (e0 < 0 && e1 >= 0) gap = fmax(gap, -turning(d0, e0, d1, e1));
                }
            }
            if (w > 0 && w1 <= 0) { double top = turning(y, w, y1, w1); highest = fmax(highest, top); rise = fmax(rise, top); }
            y = y1; w = w1;
        } else {
            within(i, &y, &w, &mode, i >= nose, y1, w1);
            d1 = ratio * s1 - lash - y; e1 = ratio * p1 - w; f1 = stiffness * d1 + damping_over * e1;
            before = 0; watched = 4;
        }
        s0 = s1; p0 = p1; a0 = a1; d0 = d1; e0 = e1; f0 = f1;
    }
    lost /= parts;
    *y_ = y; *w_ = w; *mode_ = mode;
}

static void turn(double speed, int print) {
    double whole = 1 / (3 * speed), widest = whole * sqrt((rate + stiffness + seat_stiffness) / mass);
    parts = (int) fmax(1, ceil(widest / WIDEST));
    cell = whole / parts;
    count = 0;
    for (int i = 0; i < nodes; ++i) for (int part = 0; part < (i == nodes - 1 ? 1 : parts); ++part) {
        double c[6], x = (double) part / parts;
        if (part == 0) { lift[count] = coarse[0][i]; slope[count] = coarse[1][i] / parts; bend[count] = coarse[2][i] / parts / parts; }
        else {
            powers_of(coarse[0][i], coarse[1][i], coarse[2][i], coarse[0][i + 1], coarse[1][i + 1], coarse[2][i + 1], c);
            lift[count] = c[0] + x * (c[1] + x * (c[2] + x * (c[3] + x * (c[4] + x * c[5]))));
            slope[count] = (c[1] + x * (2 * c[2] + x * (3 * c[3] + x * (4 * c[4] + x * 5 * c[5])))) / parts;
            bend[count] = (2 * c[2] + x * (6 * c[3] + x * (12 * c[4] + x * 20 * c[5]))) / parts / parts;
        }
        ++count;
    }
    damping_over = 2 * damping_share * sqrt(stiffness * mass) / cell;
    seat_over = 2 * seat_damping_share * sqrt(seat_stiffness * mass) / cell;
    spring_damping = 2 * spring_damping_share * sqrt(rate * mass);
    memset(modes, 0, sizeof modes);
    double y = -preload / (rate + seat_stiffness), w = 0;
    int mode = 2, same = 0;
    for (int t = 0; t < MOST_TURNS && !same; ++t) {
        double fromY = y, fromW = w;
        int fromMode = mode;
        highest = gap = lost = landing = rise = bounce = 0;
        peak = preload;
        bounces = landed = parted = 0;
        go_round(&y, &w, &mode);
        same = mode == fromMode && fabs(y - fromY) < SAME && fabs(w - fromW) < SAME;
    }
    if (print) printf("%.1f %.9e %.9e %.6f %d %.9e %d %.9e %.9e %d\n", speed, fmax(0, highest - full_lift), gap, lost, parted,
        landing / cell, bounces, bounce, peak, !same);
}

int main(void) {
    double from, to;
    int speeds, rounds;
    if (scanf("%lf %lf %lf %lf %lf %lf %lf %lf %lf %lf %lf", &mass, &ratio, &lash, &stiffness, &preload, &rate, &damping_share,
        &spring_damping_share, &seat_stiffness, &seat_damping_share, &full_lift) != 11) return 2;
    if (scanf("%d %d %d %lf %lf %d %d", &first, &peak_degree, &nodes, &from, &to, &speeds, &rounds) != 7 || nodes > 2000) return 2;
    for (int i = 0; i < nodes; ++i) if (scanf("%lf %lf %lf", &coarse[0][i], &coarse[1][i], &coarse[2][i]) != 3) return 2;
    double least = 1e9;
    for (int round_ = 0; round_ < rounds; ++round_) {
        clock_t start = clock();
        for (int i = 0; i < speeds; ++i) turn(from + i * (to - from) / (speeds - 1), 0);
        double took = (double) (clock() - start) / CLOCKS_PER_SEC;
        if (took < least) least = took;
    }
    for (int i = 0; i < speeds; ++i) turn(from + i * (to - from) / (speeds - 1), 1);
    printf("%.9f\n", least);
    return 0;
}
