/* The sampler of src/core/wear (rider-density.ts, hmc.ts) once more, in plain C, to compare its speed with.
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
typedef struct { double *held, step; int count; } Table;
typedef struct { int chain, tool, limit, n; double value, sd, low, high; double more[PIECES]; int kind[PIECES]; Table table; } Reading;
typedef struct { int n, place[4]; } Kind;

static int dimension, nf, nk, nt, nc, nr, first_chain;
static Factor factors[MOST]; static Tool tools[MOST]; static int unknown[MOST]; static Reading *readings;
static Kind kinds[MOST];
static double times_[MOST], times_pull[MOST], log_sds[MOST], offsets[MOST], rate[MOST], start_[MOST], start_slope[MOST], per_wear[4096];

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
static void make_table(Reading *r) {
  r->table.step = r->sd / 30; r->table.count = (int)ceil(3.6 / r->table.step) + 4;
  r->table.held = malloc(sizeof(double) * r->table.count);
  for (int i = 0; i < r->table.count; i++) r->table.held[i] = log_between(r->low, r->high, -0.6 + (i - 1) * r->table.step, r->sd);
}
static double look_up(const Reading *r, double centre, double *slope) {
  double step = r->table.step, place = (centre + 0.6) / step; int i = (int)floor(place);
  if (i < 0 || i + 3 >= r->table.count) {
    *slope = (log_between(r->low, r->high, centre + step, r->sd) - log_between(r->low, r->high, centre - step, r->sd)) / (2 * step);
    return log_between(r->low, r->high, centre, r->sd);
  }
  const double *h = r->table.held + i; double t = place - i, a = h[0], b = h[1], c = h[2], d = h[3];
  double c1 = c - b / 2 - a / 3 - d / 6, c2 = (a + c) / 2 - b, c3 = (d - a) / 6 + (b - c) / 2;
  *slope = (c1 + t * (2 * c2 + 3 * c3 * t)) / step;
  return b + t * (c1 + t * (c2 + t * c3));
}

static double density(const double *z, double *slope) {
  double beta = exp(0.08 * z[1]), rider = 0.5 * z[0], log_ = 0;
  for (int k = 0; k < nk; k++) {
    double sum = 0;
    for (int i = 0; i < kinds[k].n; i++) sum += log_sds[kinds[k].place[i]] * z[kinds[k].place[i]];
    times_[k] = exp(sum); times_pull[k] = 0;
  }
  for (int t = 0; t < nt; t++) offsets[t] = tools[t].b + tools[t].sb * z[tools[t].place];
  for (int i = 0; i < dimension; i++) { log_ -= 0.5 * z[i] * z[i]; slope[i] = -z[i]; }
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
      double centre = start_[c] + grown + offsets[g->tool], pull;
      if (g->limit) log_ += look_up(g, centre, &pull);
      else { double residual = (g->value - centre) / g->sd; log_ -= 0.5 * residual * residual; pull = residual / g->sd; }
      slope[tools[g->tool].place] += pull * tools[g->tool].sb;
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

static double z[MOST], slope[MOST], z_next[MOST], slope_next[MOST], momentum[MOST], lower[MOST][MOST], upper[MOST][MOST], log_now;
static int together;
/* Momentum takes up the slope, and the place the momentum, as the metric sees them. */
static void kick(const double *of, double by) {
  for (int j = 0; j < dimension; j++) {
    double sum = 0; int end = together ? dimension : j + 1;
    for (int i = j; i < end; i++) sum += upper[j][i] * of[i];
    momentum[j] += by * sum;
  }
}
static void drift_by(double *to, double by) {
  for (int i = 0; i < dimension; i++) {
    double sum = lower[i][i] * momentum[i];
    if (together) for (int j = 0; j < i; j++) sum += lower[i][j] * momentum[j];
    to[i] += by * sum;
  }
}
static double seen[100000][64];
static void learn(long count) {
  static double mean[MOST], cov[MOST][MOST];
  double kept = count / (count + 5.0);
  memset(mean, 0, sizeof mean); memset(cov, 0, sizeof cov);
  for (long n = 0; n < count; n++) for (int i = 0; i < dimension; i++) mean[i] += seen[n][i] / count;
  for (long n = 0; n < count; n++) for (int i = 0; i < dimension; i++) for (int j = 0; j <= i; j++)
    cov[i][j] += kept * (seen[n][i] - mean[i]) * (seen[n][j] - mean[j]) / (count > 1 ? count - 1 : 1);
  together = dimension <= 120 && count > 2 * dimension;
  for (int i = 0; i < dimension; i++) {
    cov[i][i] += 1e-3 * (1 - kept);
    for (int j = together ? 0 : i; j <= i; j++) {
      double rest = cov[i][j];
      if (together) for (int k = 0; k < j; k++) rest -= lower[i][k] * lower[j][k];
      lower[i][j] = i == j ? sqrt(fmax(1e-12, rest)) : rest / lower[j][j];
      upper[j][i] = lower[i][j];
    }
  }
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
  int draws = argc > 1 ? atoi(argv[1]) : 2000, warm = argc > 2 ? atoi(argv[2]) : 500, samplers = 4;
  if (scanf("%d %d %d %d %d %d %d", &dimension, &first_chain, &nf, &nk, &nt, &nc, &nr) != 7 || dimension > 64 || nr > 4096) return 1;
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
    if (scanf("%d %d %lf %lf %d %lf %lf %d", &g->chain, &g->tool, &g->value, &g->sd, &g->limit, &g->low, &g->high, &g->n) != 8 || g->n > PIECES) return 1;
    for (int i = 0; i < g->n; i++) if (scanf("%d %lf", &g->kind[i], &g->more[i]) != 2) return 1;
    if (g->limit) make_table(g);
  }
  struct timespec from, to; clock_gettime(CLOCK_MONOTONIC, &from);
  double sum = 0, squares = 0; long counted = 0;
  for (int s = 0; s < samplers; s++) {
    state = 7919u * (s + 1);
    for (int i = 0; i < dimension; i++) z[i] = 0.5 * normal();
    memset(lower, 0, sizeof lower); memset(upper, 0, sizeof upper); together = 0;
    for (int i = 0; i < dimension; i++) lower[i][i] = upper[i][i] = 1;
    log_now = density(z, slope);
    double first = 0.2, aim = log(10 * first), drift = 0, lg = log(first), smooth = 0; long count = 0, held = 0;
    int windows[3] = {(int)(0.1 * warm + 0.5), (int)(0.3 * warm + 0.5), (int)(0.85 * warm + 0.5)};
    for (int n = 0; n < warm; n++) {
      double a = walk(exp(lg)); count++;
      drift += (0.7 - a - drift) / (count + 10); lg = aim - sqrt((double)count) / 0.05 * drift;
      double w = pow((double)count, -0.75); smooth = w * lg + (1 - w) * smooth;
      if (n >= windows[0]) { memcpy(seen[held], z, sizeof(double) * dimension); held++; }
      if (n == windows[1] || n == windows[2]) {
        learn(held);
        held = 0; count = 0; drift = 0; aim = log(10 * exp(smooth)); lg = smooth; smooth = 0;
      }
    }
    for (int n = 0; n < draws; n++) { walk(exp(smooth)); double value = 0.17 * exp(0.5 * z[0] + 0.3 * z[first_chain]); sum += value; squares += value * value; counted++; }
  }
  clock_gettime(CLOCK_MONOTONIC, &to);
  double m = sum / counted;
  printf("%.6f %.6f %.1f\n", m, sqrt(squares / counted - m * m), (to.tv_sec - from.tv_sec) * 1e3 + (to.tv_nsec - from.tv_nsec) / 1e6);
  return 0;
}
