/*
 * The rigid post in the ground, written in C for the sake of comparison: the same algorithm and
 * the same steps as core/ground/over.ts, response.ts and postInGround.ts, for one segment.
 *
 *   cc -O2 -o post_in_ground bench/post_in_ground.c -lm && ./post_in_ground over-lean 20000
 *
 * Prints the median nanoseconds of one calculation and its last result.
 */
#include <math.h>
#include <stdio.h>
#include <stdlib.h>
#include <string.h>
#include <time.h>

#define MOST_PIECES 4
#define MOST_SPRINGS 256
#define RULE_LENGTH 0.5
#define ROUNDS 25

typedef struct { double at_top, rate, rate_per_width, cap, k_top, k_rate; } Ground;
typedef struct { double top, bottom, at_zero, rate; } Piece;
typedef struct { double f0, f1, j00, j01, j11; } Balance;
typedef struct { double ground, rotation; } Movement;
typedef struct { int count; double depth[MOST_SPRINGS], stiffness[MOST_SPRINGS], limit[MOST_SPRINGS], bottom; } Springs;

#define NODES 6
static const double NODE[NODES] = {-0.932469514203152, -0.661209386466265, -0.238619186083197, 0.238619186083197, 0.661209386466265, 0.932469514203152};
static const double WEIGHT[NODES] = {0.171324492379170, 0.360761573048139, 0.467913934572691, 0.467913934572691, 0.360761573048139, 0.171324492379170};

static int cut_pieces(double top, double bottom, double width, const Ground *g, double ignored, Piece *pieces) {
  int count = 0;
  double from = top > ignored ? top : ignored;
  if (from >= bottom) return 0;
  double rate = g->rate * width + g->rate_per_width, at_zero = g->at_top * width, capped = g->cap * width;
  double knee = rate > 0 ? (capped - at_zero) / rate : INFINITY;
  if (from < knee) pieces[count++] = (Piece){from, bottom < knee ? bottom : knee, at_zero, rate};
  if (knee < bottom) pieces[count++] = (Piece){from > knee ? from : knee, bottom, capped, 0};
  return count;
}

static double force_in(const Piece *p, double depth) {
  return p->at_zero * (depth - p->top) + p->rate * (depth * depth - p->top * p->top) / 2;
}

static double moment_in(const Piece *p, double depth, double height) {
  double squares = (depth * depth - p->top * p->top) / 2;
  double cubes = (depth * depth * depth - p->top * p->top * p->top) / 3;
  return p->at_zero * (squares + height * (depth - p->top)) + p->rate * (cubes + height * squares);
}

static double overturning(const Piece *pieces, int count, double height, double *pivot) {
  *pivot = 0;
  double whole = 0, moment_above = 0, force_above = 0, over_above = 0;
  for (int i = 0; i < count; i++) whole += moment_in(&pieces[i], pieces[i].bottom, height);
  for (int i = 0; i < count; i++) {
    double moment = moment_in(&pieces[i], pieces[i].bottom, height);
    if (moment_above <= whole / 2 && whole / 2 <= moment_above + moment) {
      double low = pieces[i].top, high = pieces[i].bottom, wanted = whole / 2 - moment_above;
      for (int step = 0; step < 50; step++) {
        double middle = (low + high) / 2;
        if (moment_in(&pieces[i], middle, height) < wanted) low = middle; else high = middle;
      }
      *pivot = (low + high) / 2;
      over_above = force_above + force_in(&pieces[i], *pivot);
    }
    moment_above += moment;
    force_above += force_in(&pieces[i], pieces[i].bottom);
  }
  double over = 2 * over_above - force_above;
  return over > 0 ? over : 0;
}

static void add_springs(const Piece *p, const Ground *g, double top, double bottom, Springs *s) {
  int parts = (int)ceil((bottom - top) / RULE_LENGTH);
  double length = (bottom - top) / parts;
  for (int part = 0; part < parts; part++)
    for (int i = 0; i < NODES; i++) {
      double z = top + (part + (1 + NODE[i]) / 2) * length, share = WEIGHT[i] / 2 * length;
      s->depth[s->count] = z;
      s->stiffness[s->count] = (g->k_top + g->k_rate * z) * share;
      s->limit[s->count++] = (p->at_zero + p->rate * z) * share;
    }
}

static void put_springs(const Piece *pieces, int count, const Ground *g, double pivot, Springs *s) {
  s->count = 0;
  s->bottom = 0;
  for (int i = 0; i < count; i++) {
    const Piece *p = &pieces[i];
    if (pivot > p->top && pivot < p->bottom) {
      add_springs(p, g, p->top, pivot, s);
      add_springs(p, g, pivot, p->bottom, s);
    } else add_springs(p, g, p->top, p->bottom, s);
    s->bottom = p->bottom;
  }
}

static Movement elastic(const Springs *s, double force, double height) {
  double s0 = 0, s1 = 0, s2 = 0;
  for (int i = 0; i < s->count; i++) {
    double z = s->depth[i], k = s->stiffness[i];
    s0 += k; s1 += k * z; s2 += k * z * z;
  }
  double determinant = s0 * s2 - s1 * s1;
  return (Movement){force * (s2 + s1 * height) / determinant, force * (s1 + s0 * height) / determinant};
}

static Balance balance(const Springs *s, double ground, double tilt, double force, double height) {
  Balance b = {-force, force * height / s->bottom, 0, 0, 0};
  for (int i = 0; i < s->count; i++) {
    double share = s->depth[i] / s->bottom, y = ground - tilt * share;
    double softening = 1 / (1 + s->stiffness[i] * fabs(y) / s->limit[i]);
    double p = s->stiffness[i] * y * softening, k = s->stiffness[i] * softening * softening;
    b.f0 += p; b.f1 += p * share;
    b.j00 += k; b.j01 += k * share; b.j11 += k * share * share;
  }
  return b;
}

static Movement movement_under(const Springs *s, double force, double height, const Movement *guess) {
  Movement start = guess ? *guess : elastic(s, force, height);
  double ground = start.ground, tilt = start.rotation * s->bottom;
  double small = 1e-9 * force * (1 + height / s->bottom);
  Balance here = balance(s, ground, tilt, force, height);
  for (int step = 0; step < 100; step++) {
    if (fabs(here.f0) + fabs(here.f1) <= small) break;
    double determinant = here.j00 * here.j11 - here.j01 * here.j01;
    double dg = (here.f1 * here.j01 - here.f0 * here.j11) / determinant;
    double dt = (here.j00 * here.f1 - here.j01 * here.f0) / determinant;
    double slope = here.f0 * dg - here.f1 * dt, share = 1;
    Balance next = balance(s, ground + dg, tilt + dt, force, height);
    while (next.f0 * dg - next.f1 * dt > -0.9 * slope && share > 1e-9) {
      share /= 2;
      next = balance(s, ground + share * dg, tilt + share * dt, force, height);
    }
    if (share <= 1e-9 || !isfinite(determinant)) return (Movement){INFINITY, INFINITY};
    ground += share * dg; tilt += share * dt; here = next;
  }
  return (Movement){ground, tilt / s->bottom};
}

typedef struct { const Springs *s; double height, tolerance, below_force; Movement below; int has_below; } Search;

static double excess(Search *q, double force) {
  if (force <= 0) return -0.5;
  const Movement *guess = q->has_below && q->below_force <= force ? &q->below : NULL;
  Movement m = movement_under(q->s, force, q->height, guess);
  double lasting = m.rotation - elastic(q->s, force, q->height).rotation;
  if (!isfinite(lasting)) return 0.5;
  double result = lasting / (lasting + q->tolerance) - 0.5;
  if (result <= 0) { q->below = m; q->below_force = force; q->has_below = 1; }
  return result;
}

static double leaning(const Springs *s, double over, double height, double tolerance) {
  static const double SHARES[3] = {0.75, 0.95, 1 - 1e-4};
  Search q = {s, height, tolerance, 0, {0, 0}, 0};
  int i = 0;
  while (i < 3 && excess(&q, SHARES[i] * over) <= 0) i++;
  if (i == 3) return over;
  double a = 0, b = SHARES[i] * over, fa = excess(&q, a), fb = excess(&q, b), width = over * 1e-7;
  if (fa == 0) return a;
  if (fb == 0) return b;
  for (int step = 0; step < 200 && fabs(b - a) > width; step++) {
    double x = step % 3 == 2 ? (a + b) / 2 : (a * fb - b * fa) / (fb - fa), fx = excess(&q, x);
    if (fx == 0) return x;
    if ((fx > 0) == (fb > 0)) { b = x; fb = fx; fa /= 2; } else { a = b; fa = fb; b = x; fb = fx; }
  }
  return b;
}

static int ascending(const void *a, const void *b) {
  double x = *(const double *)a, y = *(const double *)b;
  return x < y ? -1 : x > y;
}

int main(int argc, char **argv) {
  const char *what = argc > 1 ? argv[1] : "over-lean";
  int runs = argc > 2 ? atoi(argv[2]) : 20000;
  /* Firm clay, 0.60 deep, 0.25 wide, load at 0.94 m; the depth is moved a little in each run. */
  Ground g = {0.72 * 3 * 40e3, 0.72 * 18e3, 0.72 * 0.25 * 40e3, 0.72 * 9 * 40e3, 400 * 40e3, 0};
  double times[ROUNDS], result = 0;
  for (int round = 0; round < ROUNDS; round++) {
    struct timespec t0, t1;
    clock_gettime(CLOCK_MONOTONIC, &t0);
    for (int i = 0; i < runs; i++) {
      Piece pieces[MOST_PIECES];
      Springs s;
      int count = cut_pieces(0, 0.6 + (i % 16) * 1e-3, 0.25, &g, 0, pieces);
      double pivot, over = overturning(pieces, count, 0.94, &pivot);
      put_springs(pieces, count, &g, pivot, &s);
      if (strcmp(what, "response") == 0) {
        Movement first = elastic(&s, 1000, 0.94), m = movement_under(&s, 1000, 0.94, &first);
        result = m.rotation + m.rotation - first.rotation;
      }
      else result = leaning(&s, over, 0.94, 1.0 / 120);
    }
    clock_gettime(CLOCK_MONOTONIC, &t1);
    times[round] = ((t1.tv_sec - t0.tv_sec) * 1e9 + (t1.tv_nsec - t0.tv_nsec)) / runs;
  }
  qsort(times, ROUNDS, sizeof(double), ascending);
  printf("%.1f %.12g\n", times[ROUNDS / 2], result);
  return 0;
}
