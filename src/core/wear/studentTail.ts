/** How often chance alone takes Student's t so far from 0, to either side; `df`: degrees of freedom, 1 or more. */
export function studentTail(t: number, df: number): number {
  return incompleteBeta(df / (df + t * t), df / 2, 0.5);
}

/** The regularised incomplete beta function I_x(a, b), by its continued fraction (Numerical Recipes, 2nd ed., 6.4: betai, betacf). */
function incompleteBeta(x: number, a: number, b: number): number {
  if (x <= 0) return 0;
  if (x >= 1) return 1;
  const front = Math.exp(logGamma(a + b) - logGamma(a) - logGamma(b) + a * Math.log(x) + b * Math.log(1 - x));
  // It converges fast on one side of its mean; the other is what is left.
  return x < (a + 1) / (a + b + 2)
    ? (front * fraction(x, a, b)) / a
    : 1 - (front * fraction(1 - x, b, a)) / b;
}

const MOST_TERMS = 300;
const EXACT = 1e-12;
const TINY = 1e-300;

/** Lentz's method. */
function fraction(x: number, a: number, b: number): number {
  const kept = (value: number) => (Math.abs(value) < TINY ? TINY : value);
  let c = 1;
  let d = 1 / kept(1 - ((a + b) * x) / (a + 1));
  let h = d;
  for (let m = 1; m <= MOST_TERMS; m += 1) {
    const even = (m * (b - m) * x) / ((a + 2 * m - 1) * (a + 2 * m));
    d = 1 / kept(1 + even * d);
    c = kept(1 + even / c);
    h *= d * c;
    const odd = (-(a + m) * (a + b + m) * x) / ((a + 2 * m) * (a + 2 * m + 1));
    d = 1 / kept(1 + odd * d);
    c = kept(1 + odd / c);
    h *= d * c;
    if (Math.abs(d * c - 1) < EXACT) break;
  }
  return h;
}

const LANCZOS = [
  76.18009172947146, -86.50532032941678, 24.01409824083091, -1.231739572450155, 0.1208650973866179e-2,
  -0.5395239384953e-5,
];

/** ln Γ(x) for x > 0 (Lanczos 1964, coefficients of Numerical Recipes, 2nd ed., 6.1: gammln). */
function logGamma(x: number): number {
  const sum = LANCZOS.reduce((all, c, i) => all + c / (x + 1 + i), 1.000000000190015);
  return (x + 0.5) * Math.log(x + 5.5) - (x + 5.5) + Math.log((Math.sqrt(2 * Math.PI) * sum) / x);
}
