/* The sampler of src/core/wear (rider-density.ts, laplace.ts, hmc.ts) once more, in plain C, to compare its speed with.
 * cc -O2 -o rider bench/rider.c -lm; reads what bench/rider.ts writes on standard input: dimension, factors, kinds of
 * road, tools, chains, readings, then one line each. Prints mean and spread of the first rate, and ms. */
#include <math.h>
#include <stdint.h>
#include <stdio.h>
#include <stdlib.h>
#include <string.h>
#include <time.h>

#define MOST 256
#define PIECES 16
typedef struct { int place; double log_sd; } Factor;
typedef struct { int place; double b, sb; } Tool;
typedef struct { double *held, from, step; int count; } Table;
typedef struct { int chain, tool, limit, n; double value, sd, low, high, chance, share; double more[PIECES]; int kind[PIECES]; Table table; } Reading;
typedef struct { int n, place[4]; } Kind;

static int dimension, nf, nk, nt, nc, nr, first_chain;
static Factor factors[MOST]; static Tool tools[MOST]; static int unknown[MOST]; static Reading *readings;
static Kind kinds[MOST];
static double times_[MOST], times_pull[MOST], log_sds[MOST], offsets[MOST], offset_slope[MOST], rate[MOST], start_[MOST], start_slope[MOST], per_wear[4096];

static uint32_t state;
static double unit(void) {
  state += 0x6d2b79f5u; uint32_t t = state;
  t = (t ^ (t >> 15)) * (t | 1); t ^= t + (t ^ (t >> 7)) * (t | 61);
  return (double)(t ^ (t >> 14)) / 4294967296.0;
}
static double normal(void) { double a = 1 - unit(), b = unit(); return sqrt(-2 * log(a)) * cos(2 * M_PI * b); }

static double cdf(double x) { return 0.5 * erfc(-x / M_SQRT2); }
static double log_between(double low, double high, double centre, double sd) {
  double a = (low - centre) / sd, b = (high - centre) / sd;
  double p = a > 0 ? cdf(-a) - cdf(-b) : cdf(b) - cdf(a);
  return p > 0 ? fmax(-700, log(p)) : -700;
}
/* The log-likelihood beside that of a slip: of a figure by how far its centre lies above it, of an answer by its centre. */
static double exact(const Reading *r, double at) {
  double log_ = r->limit ? log_between(r->low, r->high, at, r->sd) : -0.5 * (at / r->sd) * (at / r->sd);
  return log((1 - r->chance) * exp(log_) + r->share);
}
static void make_table(Reading *r) {
  double from = r->limit ? -0.6 : -9 * r->sd, to = r->limit ? 3 : 9 * r->sd;
  r->table.step = r->sd / 30; r->table.from = from; r->table.count = (int)ceil((to - from) / r->table.step) + 4;
  r->table.held = malloc(sizeof(double) * r->table.count);
  for (int i = 0; i < r->table.count; i++) r->table.held[i] = exact(r, from + (i - 1) * r->table.step);
}
static double look_up(const Reading *r, double centre, double *slope) {
  double at = centre - r->value, step = r->table.step, place = (at - r->table.from) / step; int i = (int)floor(place);
  if (i < 0 || i + 3 >= r->table.count) {
    *slope = (exact(r, at + step) - exact(r, at - step)) / (2 * step);
    return exact(r, at);
  }
  const double *h = r->table.held + i; double t = place - i, a = h[0], b = h[1], c = h[2], d = h[3];
  double c1 = c - b / 2 - a / 3 - d / 6, c2 = (a + c) / 2 - b, c3 = (d - a) / 6 + (b - c) / 2;
  *slope = (c1 + t * (2 * c2 + 3 * c3 * t)) / step;
  return b + t * (c1 + t * (c2 + t * c3));
}

/* A tool's bias over its own coordinate, with long tails; late wear past its bend (bias-tail.ts, late-wear.ts). */
#define TAIL 1.1
#define WALK 0.45
static double spreads_at(double y) { return 0.85 * sinh(WALK * y) / WALK; }
static double spreads_slope(double y) { return 0.85 * cosh(WALK * y); }
static double tail_slope(double y) {
  double x = sinh(WALK * y) / WALK, root = sqrt(1 + TAIL * TAIL * x * x);
  return (-asinh(TAIL * x) / (TAIL * root) - TAIL * TAIL * x / (root * root)) * cosh(WALK * y) + WALK * tanh(WALK * y);
}
static double tail_log(double y) {
  double x = sinh(WALK * y) / WALK, z = asinh(TAIL * x) / TAIL;
  return -0.5 * z * z - 0.5 * log1p(TAIL * TAIL * x * x) + log(cosh(WALK * y));
}
static double tail_bend(double y) { return fabs(y) < 1e-4 ? 1 + TAIL * TAIL - WALK * WALK : -tail_slope(y) / y; }
#define BEND 0.04
static double past_bend(double x) { return (x + sqrt(x * x + BEND * BEND)) / 2; }
static double past_slope(double x) { return 0.5 + 0.5 * x / sqrt(x * x + BEND * BEND); }

static double density(const double *z, double *slope) {
  double beta = exp(0.08 * z[1]), rider = 0.5 * z[0], late_more = 0.02 * exp(1.4 * z[2]), late_times = 1 - 0.02 * exp(0.98) + late_more, late_slope = 1.4 * late_more, late_from = 0.45 + 0.05 * z[3], log_ = 0;
  for (int k = 0; k < nk; k++) {
    double sum = 0;
    for (int i = 0; i < kinds[k].n; i++) sum += log_sds[kinds[k].place[i]] * z[kinds[k].place[i]];
    times_[k] = exp(sum); times_pull[k] = 0;
  }
  for (int i = 0; i < dimension; i++) { log_ -= 0.5 * z[i] * z[i]; slope[i] = -z[i]; }
  for (int t = 0; t < nt; t++) {
    double y = z[tools[t].place];
    offsets[t] = tools[t].b + tools[t].sb * spreads_at(y); offset_slope[t] = tools[t].sb * spreads_slope(y);
    log_ += 0.5 * y * y + tail_log(y); slope[tools[t].place] = tail_slope(y);
  }
  for (int c = 0; c < nc; c++) {
    int p = first_chain + 2 * c; double u = z[p + 1];
    rate[c] = 0.17 * exp(rider + 0.3 * z[p]);
    if (unknown[c]) {
      double s = 1 / (1 + exp(-u));
      start_[c] = -0.05 + 1.25 * s; start_slope[c] = 1.25 * s * (1 - s);
      log_ += 0.5 * u * u - fabs(u) - 2 * log1p(exp(-fabs(u))); slope[p + 1] = 1 - 2 * s;
    } else { start_[c] = 0.02 * u; start_slope[c] = 0.02; }
  }
  for (int r = 0; r < nr;) {
    int c = readings[r].chain, p = first_chain + 2 * c, first = r; double wear = 0;
    for (; r < nr && readings[r].chain == c; r++) {
      const Reading *g = &readings[r];
      for (int i = 0; i < g->n; i++) wear += g->more[i] * times_[g->kind[i]];
      int ridden = wear > 1e-12;
      double log_wear = ridden ? log(wear) : 0, grown = ridden ? rate[c] * exp(beta * log_wear) : 0;
      double over = start_[c] + grown - late_from, late = past_bend(over), bent = past_slope(over), pull;
      log_ += look_up(g, start_[c] + grown + (late_times - 1) * late + offsets[g->tool], &pull);
      slope[tools[g->tool].place] += pull * offset_slope[g->tool];
      slope[2] += pull * late * late_slope; slope[3] -= pull * (late_times - 1) * bent * 0.05;
      pull *= 1 + (late_times - 1) * bent;
      slope[p + 1] += pull * start_slope[c];
      slope[0] += pull * grown * 0.5; slope[p] += pull * grown * 0.3;
      slope[1] += pull * grown * beta * 0.08 * log_wear;
      per_wear[r] = ridden ? pull * grown * beta / wear : 0;
    }
    double behind = 0;
    for (int n = r - 1; n >= first; n--) {
      const Reading *g = &readings[n]; behind += per_wear[n];
      for (int i = 0; i < g->n; i++) times_pull[g->kind[i]] += behind * g->more[i];
    }
  }
  for (int k = 0; k < nk; k++) for (int i = 0; i < kinds[k].n; i++)
    slope[kinds[k].place[i]] += times_pull[k] * times_[k] * log_sds[kinds[k].place[i]];
  return log_;
}

/* The precision about some coordinates, in the shape of an arrow: shared coordinates with everything, chains each by themselves. */
#define SHARED 64
typedef struct { double a[SHARED][SHARED], b[MOST][SHARED], d[MOST]; } Arrow;
typedef struct { double own[MOST], rows[MOST][SHARED], lower[SHARED][SHARED]; } Factored;
static Arrow arrow; static Factored metric;

static double bend_of(const Reading *r, double centre) {
  double below, above, step = 0.004;
  look_up(r, centre - step, &below); look_up(r, centre + step, &above);
  return fmax(1e-6, (below - above) / (2 * step));
}
static void arrow_at(const double *z) {
  int shared = first_chain;
  double beta = exp(0.08 * z[1]);
  memset(&arrow, 0, sizeof arrow);
  double late_more = 0.02 * exp(1.4 * z[2]), late_times = 1 - 0.02 * exp(0.98) + late_more, late_from = 0.45 + 0.05 * z[3];
  for (int i = 0; i < shared; i++) arrow.a[i][i] = 1;
  for (int t = 0; t < nt; t++) arrow.a[tools[t].place][tools[t].place] = tail_bend(z[tools[t].place]);
  for (int k = 0; k < nk; k++) {
    double sum = 0;
    for (int i = 0; i < kinds[k].n; i++) sum += log_sds[kinds[k].place[i]] * z[kinds[k].place[i]];
    times_[k] = exp(sum);
  }
  for (int r = 0, c = -1; r < nr; r++) {
    static double per_kind[MOST], along[SHARED];
    const Reading *g = &readings[r];
    if (g->chain != c) {
      c = g->chain; memset(per_kind, 0, sizeof per_kind);
      double s = 1 / (1 + exp(-z[shared + 2 * c + 1]));
      arrow.d[3 * c] = 1; arrow.d[3 * c + 2] = unknown[c] ? 2 * s * (1 - s) : 1;
      rate[c] = 0.17 * exp(0.5 * z[0] + 0.3 * z[shared + 2 * c]);
      start_[c] = unknown[c] ? -0.05 + 1.25 * s : 0.02 * z[shared + 2 * c + 1];
      start_slope[c] = unknown[c] ? 1.25 * s * (1 - s) : 0.02;
    }
    double wear = 0;
    for (int i = 0; i < g->n; i++) per_kind[g->kind[i]] += g->more[i] * times_[g->kind[i]];
    for (int k = 0; k < nk; k++) wear += per_kind[k];
    double grown = wear > 1e-12 ? rate[c] * pow(wear, beta) : 0;
    double over = start_[c] + grown - late_from, late = 1 + (late_times - 1) * past_slope(over), own_start = late * start_slope[c];
    memset(along, 0, sizeof along);
    along[0] = late * grown * 0.5; along[2] = past_bend(over) * 1.4 * late_more; along[3] = (1 - late_times) * past_slope(over) * 0.05;
    if (grown > 0) {
      along[1] = late * grown * beta * 0.08 * log(wear);
      for (int k = 0; k < nk; k++) for (int i = 0; i < kinds[k].n; i++)
        along[kinds[k].place[i]] += late * grown * beta * per_kind[k] / wear * log_sds[kinds[k].place[i]];
    }
    const Tool *t = &tools[g->tool];
    double centre = over + late_from + (late_times - 1) * past_bend(over) + t->b + t->sb * spreads_at(z[t->place]), answer = late * grown * 0.3, unused;
    double weight = g->limit ? bend_of(g, centre) : fmax(1e-6, (1 - exp(log(g->share) - look_up(g, centre, &unused))) / (g->sd * g->sd));
    along[t->place] = t->sb * spreads_slope(z[t->place]);
    for (int i = 0; i < shared; i++) {
      double w = weight * along[i];
      if (w == 0) continue;
      for (int j = 0; j <= i; j++) arrow.a[i][j] += w * along[j];
      arrow.b[2 * c][i] += w * answer; arrow.b[2 * c + 1][i] += w * own_start;
    }
    arrow.d[3 * c] += weight * answer * answer;
    arrow.d[3 * c + 1] += weight * answer * own_start;
    arrow.d[3 * c + 2] += weight * own_start * own_start;
  }
}
static void factor_arrow(void) {
  int shared = first_chain;
  for (int c = 0; c < nc; c++) {
    double l11 = sqrt(arrow.d[3 * c]), l21 = arrow.d[3 * c + 1] / l11, l22 = sqrt(fmax(1e-9, arrow.d[3 * c + 2] - l21 * l21));
    metric.own[3 * c] = l11; metric.own[3 * c + 1] = l21; metric.own[3 * c + 2] = l22;
    for (int i = 0; i < shared; i++) {
      double first = arrow.b[2 * c][i] / l11;
      metric.rows[2 * c][i] = first; metric.rows[2 * c + 1][i] = (arrow.b[2 * c + 1][i] - l21 * first) / l22;
    }
    for (int row = 2 * c; row <= 2 * c + 1; row++)
      for (int i = 0; i < shared; i++) for (int j = 0; j <= i; j++) arrow.a[i][j] -= metric.rows[row][i] * metric.rows[row][j];
  }
  for (int i = 0; i < shared; i++) for (int j = 0; j <= i; j++) {
    double rest = arrow.a[i][j];
    for (int k = 0; k < j; k++) rest -= metric.lower[i][k] * metric.lower[j][k];
    metric.lower[i][j] = i == j ? sqrt(fmax(1e-9, rest)) : rest / metric.lower[j][j];
  }
}
static void forward(const double *r, double *y) {
  int shared = first_chain;
  for (int i = 0; i < shared; i++) y[i] = r[i];
  for (int c = 0; c < nc; c++) {
    int at = shared + 2 * c;
    double first = r[at] / metric.own[3 * c], second = (r[at + 1] - metric.own[3 * c + 1] * first) / metric.own[3 * c + 2];
    y[at] = first; y[at + 1] = second;
    for (int i = 0; i < shared; i++) y[i] -= metric.rows[2 * c][i] * first + metric.rows[2 * c + 1][i] * second;
  }
  for (int i = 0; i < shared; i++) {
    for (int j = 0; j < i; j++) y[i] -= metric.lower[i][j] * y[j];
    y[i] /= metric.lower[i][i];
  }
}
static void backward(const double *y, double *x) {
  int shared = first_chain;
  for (int i = shared - 1; i >= 0; i--) {
    double sum = y[i];
    for (int j = i + 1; j < shared; j++) sum -= metric.lower[j][i] * x[j];
    x[i] = sum / metric.lower[i][i];
  }
  for (int c = 0; c < nc; c++) {
    int at = shared + 2 * c;
    double first = y[at], second = y[at + 1];
    for (int i = 0; i < shared; i++) { first -= metric.rows[2 * c][i] * x[i]; second -= metric.rows[2 * c + 1][i] * x[i]; }
    x[at + 1] = second / metric.own[3 * c + 2];
    x[at] = (first - metric.own[3 * c + 1] * x[at + 1]) / metric.own[3 * c];
  }
}

static double z[MOST], slope[MOST], z_next[MOST], slope_next[MOST], momentum[MOST], held[MOST], log_now;
/* Momentum takes up the slope, and the place the momentum, as the metric sees them. */
static void kick(const double *of, double by) {
  forward(of, held);
  for (int i = 0; i < dimension; i++) momentum[i] += by * held[i];
}
static void drift_by(double *to, double by) {
  backward(momentum, held);
  for (int i = 0; i < dimension; i++) to[i] += by * held[i];
}
/* The likeliest coordinates, by Newton's steps; leaves the metric about them. */
static void climb(double *at) {
  static double next[MOST], half[MOST], step[MOST];
  memset(at, 0, sizeof(double) * MOST);
  double log_ = density(at, slope);
  arrow_at(at); factor_arrow();
  for (int n = 0; n < 30; n++) {
    forward(slope, half); backward(half, step);
    double taken = 2, log_next = NAN;
    do {
      taken /= 2;
      for (int i = 0; i < dimension; i++) next[i] = at[i] + taken * step[i];
      log_next = density(next, slope);
    } while (!(log_next >= log_) && taken > 1e-4);
    if (!(log_next >= log_)) break;
    double gained = log_next - log_;
    memcpy(at, next, sizeof next); log_ = log_next;
    arrow_at(at); factor_arrow();
    if (gained < 1e-3) break;
  }
}
typedef struct { double aim, drift, lg, smooth; long count; } Tuner;
static void retune(Tuner *t, double first) { *t = (Tuner){.aim = log(10 * first), .lg = log(first), .smooth = log(first)}; }
static void tell(Tuner *t, double acceptance) {
  t->count++;
  t->drift += (0.7 - acceptance - t->drift) / (t->count + 10); t->lg = t->aim - sqrt((double)t->count) / 0.05 * t->drift;
  double w = pow((double)t->count, -0.75); t->smooth = w * t->lg + (1 - w) * t->smooth;
}
static double walk(double size) {
  double before = -log_now, after = 0, log_next = log_now;
  for (int i = 0; i < dimension; i++) { momentum[i] = normal(); before += 0.5 * momentum[i] * momentum[i]; }
  memcpy(z_next, z, sizeof z); memcpy(slope_next, slope, sizeof slope);
  int steps = (int)floor((0.5 + unit()) * 2 / size + 0.5);
  if (steps < 1) steps = 1;
  if (steps > 48) steps = 48;
  kick(slope_next, size / 2);
  for (int n = 1; n <= steps; n++) {
    drift_by(z_next, size);
    log_next = density(z_next, slope_next);
    kick(slope_next, n < steps ? size : size / 2);
  }
  for (int i = 0; i < dimension; i++) after += 0.5 * momentum[i] * momentum[i];
  double chance = exp(before - (after - log_next));
  chance = chance >= 0 ? fmin(1, chance) : 0;
  if (unit() < chance) { memcpy(z, z_next, sizeof z); memcpy(slope, slope_next, sizeof slope); log_now = log_next; }
  return chance;
}

int main(int argc, char **argv) {
  int draws = argc > 1 ? atoi(argv[1]) : 2000, warm = argc > 2 ? atoi(argv[2]) : 250, samplers = 4;
  if (scanf("%d %d %d %d %d %d %d", &dimension, &first_chain, &nf, &nk, &nt, &nc, &nr) != 7 || dimension > MOST || first_chain > SHARED || 3 * nc > MOST || nr > 4096) return 1;
  for (int f = 0; f < nf; f++) { if (scanf("%d %lf", &factors[f].place, &factors[f].log_sd) != 2) return 1; log_sds[factors[f].place] = factors[f].log_sd; }
  for (int k = 0; k < nk; k++) {
    if (scanf("%d", &kinds[k].n) != 1 || kinds[k].n > 4) return 1;
    for (int i = 0; i < kinds[k].n; i++) if (scanf("%d", &kinds[k].place[i]) != 1) return 1;
  }
  for (int t = 0; t < nt; t++) if (scanf("%d %lf %lf", &tools[t].place, &tools[t].b, &tools[t].sb) != 3) return 1;
  for (int c = 0; c < nc; c++) if (scanf("%d", &unknown[c]) != 1) return 1;
  readings = calloc(nr, sizeof *readings);
  for (int r = 0; r < nr; r++) {
    Reading *g = &readings[r];
    if (scanf("%d %d %lf %lf %d %lf %lf %lf %lf %d", &g->chain, &g->tool, &g->value, &g->sd, &g->limit, &g->low, &g->high, &g->chance, &g->share, &g->n) != 10 || g->n > PIECES) return 1;
    for (int i = 0; i < g->n; i++) if (scanf("%d %lf", &g->kind[i], &g->more[i]) != 2) return 1;
    for (int q = 0; q < r && !g->table.held; q++) {
      const Reading *o = &readings[q];
      if (o->limit == g->limit && o->sd == g->sd && o->low == g->low && o->high == g->high && o->share == g->share) g->table = o->table;
    }
    if (!g->table.held) make_table(g);
  }
  struct timespec from, to; clock_gettime(CLOCK_MONOTONIC, &from);
  double sum = 0, squares = 0, size = 0.4; long counted = 0;
  static double middle[MOST];
  climb(middle);
  for (int s = 0; s < samplers; s++) {
    /* The first chain finds the way; the others begin about where it was led and need less of a warm-up. */
    int own_warm = s == 0 ? warm : (int)(0.4 * warm + 0.5), there = (int)(0.2 * warm + 0.5), known = (int)(0.5 * warm + 0.5);
    static double seen[MOST]; long n_seen = 0; Tuner tuner;
    state = 7919u * (s + 1);
    memcpy(z, middle, sizeof z); memset(seen, 0, sizeof seen);
    for (int i = 0; i < dimension; i++) momentum[i] = 1.5 * normal();
    drift_by(z, 1);
    log_now = density(z, slope);
    retune(&tuner, size);
    for (int n = 0; n < own_warm; n++) {
      tell(&tuner, walk(exp(tuner.lg)));
      if (s == 0 && n >= there && n <= known) { n_seen++; for (int i = 0; i < dimension; i++) seen[i] += z[i]; }
      if (s == 0 && n == known) {
        for (int i = 0; i < dimension; i++) middle[i] = seen[i] / n_seen;
        arrow_at(middle); factor_arrow(); retune(&tuner, exp(tuner.smooth));
      }
    }
    if (s == 0) size = exp(tuner.smooth);
    for (int n = 0; n < draws; n++) { walk(exp(tuner.smooth)); double value = 0.17 * exp(0.5 * z[0] + 0.3 * z[first_chain]); sum += value; squares += value * value; counted++; }
  }
  clock_gettime(CLOCK_MONOTONIC, &to);
  double m = sum / counted;
  printf("%.6f %.6f %.1f\n", m, sqrt(squares / counted - m * m), (to.tv_sec - from.tv_sec) * 1e3 + (to.tv_nsec - from.tv_nsec) / 1e6);
  return 0;
}
