/* The lives of src/core/strategy/plans (life.ts, plans-steps.ts, luck.ts) once more, in plain C, to compare their speed with.
 * cc -O2 -o plans bench/plans.c -lm; reads what bench/plans.ts writes on standard input. Prints, for each plan, the mean of the
 * chains bought and of the skips, and at the end ms. One chain on the bike, none on hooks. */
#include <math.h>
#include <stdint.h>
#include <stdio.h>
#include <stdlib.h>
#include <time.h>

#define COGS 16
#define CHAINS 8
#define REACH 9
#define PER_SPREAD 128
#define SPREAD 0.06
#define RUBS 0.005
#define RING_SPENT 0.8
#define PULLEY_RUB 0.04
#define PULLEY_FOLLOW 0.05
typedef struct { double rate, beta, start, late_times, late_from, wear_km; } Way;
typedef struct { Way way; double wear_km, km, percent, slope; int retired, held; } Chain;
typedef struct { double rider, beta, late_times, late_from, rate, start, wear_km, per_km, per_km_other; } Draw;
typedef struct { int kind, chains, singly, hard, other, larger; double at, every; } Plan; /* kind: 0 replace, 1 rotate, 2 runout */

static int cogs, singly_sold[COGS];
static double loads[2][COGS], follow[COGS], shares[2][COGS], margin[COGS], table[2 * REACH * PER_SPREAD + 1];
static double ring_follow, ring_worn, look_km, look_sd, pushes_km, forgotten, hard_times, chain_sd, horizon, step_km, late, larger_times, pulleys_worn;
static uint32_t seed;

static uint32_t mixed(uint32_t h) {
  h = (h ^ (h >> 16)) * 0x85ebca6bu; h = (h ^ (h >> 13)) * 0xc2b2ae35u; return h ^ (h >> 16);
}
static double unit(uint32_t life, uint32_t event, uint32_t index) {
  uint32_t key = mixed(mixed(mixed(seed + 0x9e3779b9u) ^ (life + 0x7f4a7c15u)) ^ (event * 0x1b873593u));
  return mixed(key ^ ((index + 1) * 0x9e3779b1u)) / 4294967296.0;
}
static double normal(uint32_t life, uint32_t event, uint32_t index) {
  double a = unit(life, event, 2 * index), b = unit(life, event, 2 * index + 1);
  return sqrt(-2 * log(1 - a)) * cos(2 * M_PI * b);
}
static double elongation(const Way *w, double km) {
  double plain = w->start + w->rate * (w->beta == 1 ? km / 1000 : pow(km / 1000, w->beta));
  if (w->late_times == 1) return plain;
  double x = plain - w->late_from;
  return plain + (w->late_times - 1) * (x + sqrt(x * x + 0.04 * 0.04)) / 2;
}
static double risk(double over) {
  double place = over * (PER_SPREAD / SPREAD) + REACH * PER_SPREAD;
  if (place <= 0) return 0;
  return table[place >= 2 * REACH * PER_SPREAD ? 2 * REACH * PER_SPREAD : (int)place];
}
static Chain *least(Chain *chains, int n) {
  Chain *found = 0;
  for (int i = 0; i < n; i++) if (!chains[i].retired && (!found || chains[i].km < found->km)) found = &chains[i];
  return found;
}
static Chain begun(Way way, double per_km) {
  Chain c = { way, way.wear_km, way.wear_km / fmax(1e-6, per_km), elongation(&way, way.wear_km), 0, 0, 0 };
  return c;
}
static Way bought(const Draw *d, const Plan *p, int life, int nth) {
  Way w = { d->rider * exp(chain_sd * normal(life, 1, nth)) * (p->hard ? hard_times : 1), d->beta, 0, d->late_times, d->late_from, 0 };
  return w;
}

static void live(const Draw *d, const Plan *p, int life, double *bought_chains, double *skips_out) {
  double per_km = (p->other ? d->per_km_other : d->per_km) * (p->larger ? larger_times : 1), wear = step_km * per_km;
  const double *load = loads[p->larger], *share = shares[p->larger];
  double worn[COGS] = { 0 }, pull[COGS], rub[COGS], ring = p->larger ? 0 : ring_worn, pulleys = pulleys_worn, skips_all = 0;
  for (int j = 0; j < cogs; j++) { double b = load[j] * wear / 1000; pull[j] = b * follow[j]; rub[j] = b * RUBS; }
  Chain chains[CHAINS]; int n = 0, born = 0, count = 0;
  Way first = { d->rate, d->beta, d->start, d->late_times, d->late_from, d->wear_km };
  chains[n++] = begun(first, per_km);
  for (; n < p->chains; count++) chains[n++] = begun(bought(d, p, life, born++), per_km);
  Chain *on = &chains[0];
  double next_look = look_km, next_turn = p->kind == 1 ? p->every : INFINITY; int looked = 0;
  int steps = (int)(horizon / step_km + 0.5);
  for (int s = 1; s <= steps; s++) {
    double km = s * step_km;
    if (!on->held) { on->slope = (elongation(&on->way, on->wear_km + 4 * wear) - on->percent) / 4; on->held = 4; }
    on->percent += on->slope; on->held--; on->wear_km += wear; on->km += step_km;
    double e = on->percent, skips = 0;
    for (int j = 0; j < cogs; j++) {
      double lag = e - worn[j], now = worn[j] + rub[j] + (lag > 0 ? pull[j] * lag : 0);
      worn[j] = now; skips += share[j] * risk(now - e - margin[j]);
    }
    skips_all += step_km * pushes_km * skips;
    double lag = e - ring; ring += ((lag > 0 ? ring_follow * lag : 0) + RUBS) * (wear / 1000);
    double behind = e - pulleys; pulleys += (PULLEY_RUB + (behind > 0 ? PULLEY_FOLLOW * behind : 0)) * (wear / 1000);
    if (km >= next_look) {
      next_look += look_km;
      int nth = looked++;
      if (unit(life, 3, nth) >= forgotten && e + look_sd * normal(life, 2, nth) >= p->at && unit(life, 4, nth) >= late) {
        on->retired = 1;
        Chain *next = p->kind == 2 ? 0 : least(chains, n);
        if (next) on = next;
        else {
          n = 0; while (n < p->chains) chains[n++] = begun(bought(d, p, life, born++), per_km);
          on = &chains[0]; count += p->chains;
          if (p->kind != 0) for (int j = 0; j < cogs; j++) worn[j] = 0;
        }
        if (p->kind == 0) {
          int bad = 0, dear = 0;
          for (int j = 0; j < cogs; j++) if (worn[j] > margin[j] + on->percent) { bad++; if (!p->singly || !singly_sold[j]) dear = 1; }
          if (bad) for (int j = 0; j < cogs; j++) if (dear || worn[j] > margin[j] + on->percent) worn[j] = 0;
        }
        if (ring > RING_SPENT) ring = 0;
        if (pulleys > RING_SPENT) pulleys = 0;
      }
    }
    if (km >= next_turn) { next_turn += p->every; Chain *next = least(chains, n); if (next) on = next; }
  }
  *bought_chains += count; *skips_out += skips_all;
}

int main(void) {
  int draws, lives, plans;
  if (scanf("%d %d %d %d %u", &draws, &lives, &plans, &cogs, &seed) != 5) return 1;
  if (scanf("%lf %lf %lf %lf %lf %lf %lf %lf %lf %lf", &horizon, &step_km, &look_km, &look_sd, &pushes_km, &forgotten, &hard_times, &chain_sd, &ring_follow, &ring_worn) != 10) return 1;
  if (scanf("%lf %lf %lf", &late, &larger_times, &pulleys_worn) != 3) return 1;
  Draw *drawn = calloc(draws, sizeof *drawn); Plan *all = calloc(plans, sizeof *all);
  for (int i = 0; i < draws; i++) { Draw *d = &drawn[i];
    if (scanf("%lf %lf %lf %lf %lf %lf %lf %lf %lf", &d->rider, &d->beta, &d->late_times, &d->late_from, &d->rate, &d->start, &d->wear_km, &d->per_km, &d->per_km_other) != 9) return 1; }
  for (int j = 0; j < cogs; j++) if (scanf("%lf %lf %lf %lf %d %lf %lf", &loads[0][j], &follow[j], &shares[0][j], &margin[j], &singly_sold[j], &loads[1][j], &shares[1][j]) != 7) return 1;
  for (int i = 0; i < plans; i++) { Plan *p = &all[i]; if (scanf("%d %lf %d %lf %d %d %d %d", &p->kind, &p->at, &p->chains, &p->every, &p->singly, &p->hard, &p->other, &p->larger) != 8) return 1; }
  for (int i = 0; i <= 2 * REACH * PER_SPREAD; i++) table[i] = 1 / (1 + exp(REACH - (double)i / PER_SPREAD));
  struct timespec a, b; clock_gettime(CLOCK_MONOTONIC, &a);
  double *chains = calloc(plans, sizeof *chains), *skips = calloc(plans, sizeof *skips);
  for (int l = 0; l < lives; l++) for (int i = 0; i < plans; i++) live(&drawn[(long)l * draws / lives % draws], &all[i], l, &chains[i], &skips[i]);
  clock_gettime(CLOCK_MONOTONIC, &b);
  for (int i = 0; i < plans; i++) printf("%.6f %.6f\n", chains[i] / lives, skips[i] / lives);
  printf("%.1f\n", 1000.0 * (b.tv_sec - a.tv_sec) + (b.tv_nsec - a.tv_nsec) / 1e6);
  return 0;
}
