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
#define MOST_CHANGES 40
#define MOST_TURNS 12
#define SAME 1e-9
#define BOUNCE 10e-6
#define STRAIGHT 1e-12
#define CLEAR 2e-5
#define LOW 0.25
#define WATCHED 4
#define NEAR_PEAK 0.6
#define MOST_NODES 20000

typedef struct { double a, b, c, d, x, v, gx[6], gv[6], kappa, gamma, constant, alpha, beta; int made; } Mode;

static double mass, ratio, lash, stiffness, preload, rate, damping_share, spring_damping_share, seat_stiffness, seat_damping_share;
static int first, nodes, peak_degree;
static double coarse[3][2000];
static double asked[MOST_NODES], slope[MOST_NODES], bend[MOST_NODES];
static int count, parts;
static double cell, damping_over, seat_over, spring_damping, full_lift;
static Mode modes[4];
static double highest, gap, lost, landing, peak, rise, bounce;
static int bounces, landed, parted;
/* Where a stretch that was looked at last ends, and what is so there. */
static double end_at, next_y, next_w, open_, opening_;

static void powers_of(double s0, double v0, double a0, double s1, double v1, double a1, double *out) {
    double up = s1 - s0;
    out[0] = s0; out[1] = v0; out[2] = a0 / 2;
    out[3] = 10 * up - 6 * v0 - 4 * v1 - 1.5 * a0 + 0.5 * a1;
    out[4] = -15 * up + 8 * v0 + 7 * v1 + 1.5 * a0 - a1;
    out[5] = 6 * up - 3 * v0 - 3 * v1 - 0.5 * a0 + 0.5 * a1;
}

static void responses(int power, double kappa, double gamma, double *out) {
    double before = 0, n = power + 2, now = 1 / (n * (n - 1)), end = now, slope_ = n * now;
    while (n < TERMS && (fabs(now) > NOTHING || fabs(before) > NOTHING)) {
        double next = -(gamma * n * now + kappa * before) / (n * (n + 1));
        before = now; now = next;
        n += 1;
        end += now; slope_ += n * now;
    }
    out[power] = end; out[power - 1] = slope_ / power;
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
    m->constant = -per * preload;
    m->alpha = contact ? per * stiffness : 0;
    m->beta = contact ? per * damping_over : 0;
    responses(contact ? 5 : 1, m->kappa, m->gamma, power);
    for (int j = contact ? 3 : -1; j >= 0; --j)
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
    if (i + 1 < count) { powers_of(asked[i], slope[i], bend[i], asked[i + 1], slope[i + 1], bend[i + 1], out); return; }
    memset(out, 0, 6 * sizeof *out);
    out[0] = -lash;
}

static void about(double *powers, double at) {
    for (int i = 0; i < 5; ++i) for (int j = 4; j >= i; --j) powers[j] += at * powers[j + 1];
}

/* The gap at the lobe. */
static int series_of(double y, double w, int mode, const double *s, double *series) {
    Mode *m = mode_of(mode);
    double gamma = m->gamma, kappa = m->kappa, f[6] = {m->constant}, y2, y3, y4, y5, before, now, n = 7;
    if (mode & 1) {
        f[0] += m->alpha * s[0] + m->beta * s[1];
        f[1] = m->alpha * s[1] + 2 * m->beta * s[2];
        f[2] = m->alpha * s[2] + 3 * m->beta * s[3];
        f[3] = m->alpha * s[3] + 4 * m->beta * s[4];
        f[4] = m->alpha * s[4] + 5 * m->beta * s[5];
        f[5] = m->alpha * s[5];
    }
    y2 = (f[0] - gamma * w - kappa * y) / 2;
    y3 = (f[1] - 2 * gamma * y2 - kappa * w) / 6;
    y4 = (f[2] - 3 * gamma * y3 - kappa * y2) / 12;
    y5 = (f[3] - 4 * gamma * y4 - kappa * y3) / 20;
    before = (f[4] - 5 * gamma * y5 - kappa * y4) / 30;
    now = (f[5] - 6 * gamma * before - kappa * y5) / 42;
    series[0] = y - s[0]; series[1] = w - s[1]; series[2] = y2 - s[2]; series[3] = y3 - s[3]; series[4] = y4 - s[4];
    series[5] = y5 - s[5]; series[6] = before; series[7] = now;
    int terms = 8;
    while (n < TERMS && (fabs(now) > NOTHING || fabs(before) > NOTHING)) {
        double next = -(gamma * n * now + kappa * before) / (n * (n + 1));
        series[terms++] = next;
        before = now; now = next;
        n += 1;
    }
    return terms;
}

static void state_at(const double *series, int terms, double at, double *value, double *slope_) {
    *value = *slope_ = 0;
    for (int n = terms - 1; n >= 0; --n) { *slope_ = *slope_ * at + *value; *value = *value * at + series[n]; }
}

static double turning(double y0, double w0, double y1, double w1) {
    double c2 = 3 * (y1 - y0) - 2 * w0 - w1, c3 = 2 * (y0 - y1) + w0 + w1;
    double root = sqrt(fmax(0, c2 * c2 - 3 * c3 * w0)), bow = w0 > 0 ? -c2 : c2;
    double t = bow < 0 ? (root - bow) / (3 * (w0 > 0 ? -c3 : c3)) : fabs(w0) / (bow + root);
    return y0 + t * (w0 + t * (c2 + t * c3));
}

static double force_at(const double *gap_, int terms, double at) {
    double open, opening;
    state_at(gap_, terms, at, &open, &opening);
    return -stiffness * open - damping_over * opening;
}

static void look_at(const double *gap_, int terms, const double *powers, double at) {
    double s, p;
    state_at(gap_, terms, at, &open_, &opening_);
    state_at(powers, 6, at, &s, &p);
    end_at = at;
    next_y = open_ + s; next_w = opening_ + p;
}

static double change_of(const double *gap_, int terms, double k, double c, int closed, double from, double to, double open, double pull) {
    double last = closed ? -pull : fmax(k * open, pull), first_ = 0, at = from;
    int side = 0;
    for (int turn = 0; turn < 60 && to - from > 1e-12; ++turn) {
        double opening;
        state_at(gap_, terms, at, &open, &opening);
        double squeeze = k * open, now;
        pull = squeeze + c * opening;
        now = closed ? -pull : fmax(squeeze, pull);
        if (turn == 0 ? now <= 0 : fabs(now) < 1e-7 * preload) return at;
        if (now > 0) { from = at; first_ = now; if (side == 1) last /= 2; side = 1; }
        else { to = at; last = now; if (side == -1) first_ /= 2; side = -1; }
        at = (from * last - to * first_) / (last - first_);
    }
    return to;
}

static int first_change(const double *gap_, int terms, const double *powers, int mode, int i, double width, int after) {
    static const double SAMPLES[] = {0.5, 1};
    double whole_y = next_y, whole_w = next_w, earlier = after ? AFTER : 0, lift_[TERMS + 2];
    if (after && width <= AFTER) { look_at(gap_, terms, powers, width); return 0; }
    for (int sample = 0; sample < 2; ++sample) {
        double later = SAMPLES[sample] * width, end = later, y, force;
        int which = 0;
        if (later <= earlier) continue;
        if (sample == 0 || after) look_at(gap_, terms, powers, later);
        else {
            end_at = later;
            next_y = whole_y; next_w = whole_w;
            open_ = whole_y - (i + 1 < count ? asked[i + 1] : -lash); opening_ = whole_w - (i + 1 < count ? slope[i + 1] : 0);
        }
        y = next_y;
        force = stiffness * open_ + damping_over * opening_;
        if (mode & 1 ? force > 0 : open_ < 0 && force < 0) {
            end = change_of(gap_, terms, stiffness, damping_over, mode & 1, earlier, later, open_, force);
            which = 1;
        }
        if (y <= CLEAR) {
            force = seat_stiffness * y + seat_over * next_w;
            if (mode & 2 ? force > 0 : y < 0 && force < 0) {
                memcpy(lift_, gap_, terms * sizeof *lift_);
                for (int n = 0; n < 6; ++n) lift_[n] += powers[n];
                double at = change_of(lift_, terms, seat_stiffness, seat_over, mode & 2, earlier, later, y, force);
                if (!which || at < end) { end = at; which = 2; }
            }
        }
        if (which) { look_at(gap_, terms, powers, end); return which; }
        earlier = later;
    }
    return 0;
}

static void note_forces(const double *gap_, int terms, double end, double start, double last) {
    peak = fmax(peak, last);
    if (fmax(start, last) <= NEAR_PEAK * peak) return;
    double middle = force_at(gap_, terms, 0.5 * end);
    if (fmax(fmax(start, last), middle) + 0.5 * fabs(start - 2 * middle + last) <= peak) return;
    double f[5] = {start, force_at(gap_, terms, 0.25 * end), middle, force_at(gap_, terms, 0.75 * end), last};
    for (int q = 1; q < 4; ++q) {
        double bow = f[q - 1] - 2 * f[q] + f[q + 1], d = f[q + 1] - f[q - 1];
        peak = fmax(peak, f[q] >= f[q - 1] && f[q] >= f[q + 1] && bow < 0 ? f[q] - d * d / (8 * bow) : f[q]);
    }
}

static void note_top(double top) { highest = fmax(highest, top); rise = fmax(rise, top); }

/* What the leap over the whole cell came to is in next_y and next_w. */
static void within(int i, double *y, double *w, int *mode, int past) {
    double powers[6], series[TERMS + 2], width = 1;
    cell_powers(i, powers);
    int asks = i + 1 < count && asked[i + 1] > 0;
    for (int change = 0; change < MOST_CHANGES; ++change) {
        double y0 = *y, w0 = *w;
        int terms = series_of(y0, w0, *mode, powers, series);
        int which = first_change(series, terms, powers, *mode, i, width, change > 0);
        double end = end_at;
        *y = next_y; *w = next_w;
        if (w0 > 0 && *w <= 0) note_top(turning(y0, w0 * end, *y, *w * end));
        if (*mode & 1) {
            note_forces(series, terms, end, -stiffness * series[0] - damping_over * series[1], -stiffness * open_ - damping_over * opening_);
        } else if (asks) {
            if (!(*mode & 2)) lost += end;
            if (powers[2] < -STRAIGHT && open_ > 0) parted = 1;
            if (series[1] > 0 && opening_ <= 0) gap = fmax(gap, turning(series[0], series[1] * end, open_, opening_ * end));
        }
        if (!which) return;
        if (which == 2) {
            if (!(*mode & 2)) {
                if (past) {
                    landing = fmax(landing, -*w);
                    if (landed && rise > BOUNCE) { ++bounces; bounce = fmax(bounce, rise); }
                    landed = 1;
                }
            } else rise = 0;
        }
        *mode ^= which;
        width -= end;
        about(powers, end);
    }
}

static double rise_of(double y, double w, int i, Mode *m) {
    double s = i < count ? asked[i] : -lash, p = i < count ? slope[i] : 0, a = i < count ? bend[i] : 0;
    return stiffness * (p - w)
        + damping_over * (a - (m->constant + m->alpha * s + m->beta * p - m->gamma * w - m->kappa * y));
}

static int dips(double y0, double w0, double y1, double w1, int i, double f0, double f1, Mode *m) {
    double g0 = rise_of(y0, w0, i, m), g1;
    if (g0 >= 0) return 0;
    g1 = rise_of(y1, w1, i + 1, m);
    return g1 > 0 && turning(f0, g0, f1, g1) < 0;
}

static int holds(int mode, int i, double y, double w, double y1, double w1, double d1, double f0, double f1, Mode *m) {
    if (mode & 1) {
        if (f1 <= 0 || (f0 + f1 < LOW * peak && dips(y, w, y1, w1, i, f0, f1, m))) return 0;
    } else if (d1 > 0 && f1 > 0) return 0;
    if (mode & 2) return seat_stiffness * y1 + seat_over * w1 < 0;
    return !(y1 < 0 || (y1 + y < CLEAR && w < 0 && w1 > 0 && y - w * w / (2 * (w1 - w)) < 0));
}

static void note_peak(double before, double f0, double f1) {
    if (before > 0 && f0 >= f1 && f0 >= before) {
        double bow = before - 2 * f0 + f1;
        peak = fmax(peak, bow < 0 ? f0 - (f1 - before) * (f1 - before) / (8 * bow) : f0);
    }
    peak = fmax(peak, f1);
}

/* Greatest force between two nodes, while it rings. */
static void watch(double y, double w, int i, int mode, double y1, double w1, double f0, double f1, Mode *m) {
    double powers[6], series[TERMS + 2];
    peak = fmax(peak, f1);
    if (rise_of(y, w, i, m) > 0 && rise_of(y1, w1, i + 1, m) < 0) {
        cell_powers(i, powers);
        note_forces(series, series_of(y, w, mode, powers, series), 1, f0, f1);
    }
}

static void go_round(double *y_, double *w_, int *mode_) {
    double y = *y_, w = *w_, seated = -preload / (rate + seat_stiffness), quiet = 0.5 * fabs(seated), before = 0;
    int mode = *mode_, last = count - 1, round_ = 360 * parts, nose = (peak_degree - first) * parts, watched = 0, begin = 0;
    while (mode == 2 && w == 0 && begin < nose && asked[begin + 1] < y) ++begin;
    double s0 = asked[begin], p0 = slope[begin], a0 = bend[begin], d0 = s0 - y, e0 = p0 - w, f0 = stiffness * d0 + damping_over * e0;
    for (int i = begin; i < round_; ++i) {
        Mode *m = mode_of(mode);
        double s1 = -lash, p1 = 0, a1 = 0;
        if (i >= last) {
            double left = fabs(y - seated) + fabs(w);
            if (mode == 2 && left < quiet && left * exp(-seat_over * cell * cell / (2 * mass) * (round_ - i)) < 0.1 * SAME) { y = seated; w = 0; break; }
        } else { s1 = asked[i + 1]; p1 = slope[i + 1]; a1 = bend[i + 1]; }
        double y1 = m->a * y + m->b * w + m->x, w1 = m->c * y + m->d * w + m->v;
        if (mode & 1) {
            y1 += m->gx[0] * s0 + m->gx[1] * p0 + m->gx[2] * a0 + m->gx[3] * s1 + m->gx[4] * p1 + m->gx[5] * a1;
            w1 += m->gv[0] * s0 + m->gv[1] * p0 + m->gv[2] * a0 + m->gv[3] * s1 + m->gv[4] * p1 + m->gv[5] * a1;
        }
        double d1 = s1 - y1, e1 = p1 - w1, f1 = stiffness * d1 + damping_over * e1;
        if (holds(mode, i, y, w, y1, w1, d1, f0, f1, m)) {
            if (mode & 1) {
                if (i >= watched) note_peak(before, f0, f1);
                else if (fmax(f0, f1) > NEAR_PEAK * peak) watch(y, w, i, mode, y1, w1, f0, f1, m);
                else peak = fmax(peak, f1);
                before = f0;
            } else {
                before = 0;
                if (s1 > 0) {
                    if (!(mode & 2)) lost += 1;
                    if (a1 < 0 && d1 < 0) parted = 1;
                    if (e0 < 0 && e1 >= 0) gap = fmax(gap, -turning(d0, e0, d1, e1));
                }
            }
            if (w > 0 && w1 <= 0) note_top(turning(y, w, y1, w1));
            y = y1; w = w1;
        } else {
            next_y = y1; next_w = w1;
            within(i, &y, &w, &mode, i >= nose);
            d1 = s1 - y; e1 = p1 - w; f1 = stiffness * d1 + damping_over * e1;
            before = 0; watched = i + 1 + WATCHED;
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
        if (part == 0) { asked[count] = coarse[0][i]; slope[count] = coarse[1][i] / parts; bend[count] = coarse[2][i] / parts / parts; }
        else {
            powers_of(coarse[0][i], coarse[1][i], coarse[2][i], coarse[0][i + 1], coarse[1][i + 1], coarse[2][i + 1], c);
            asked[count] = c[0] + x * (c[1] + x * (c[2] + x * (c[3] + x * (c[4] + x * c[5]))));
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
    for (int i = 0; i < nodes; ++i) {
        if (scanf("%lf %lf %lf", &coarse[0][i], &coarse[1][i], &coarse[2][i]) != 3) return 2;
        coarse[0][i] = ratio * coarse[0][i] - lash; coarse[1][i] *= ratio; coarse[2][i] *= ratio;
    }
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
