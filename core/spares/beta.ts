/** Beta(failed, good): what is believed of the share of pieces that fail. */
export interface Beta {
  failed: number
  good: number
}

const lanczos = [
  0.99999999999980993, 676.5203681218851, -1259.1392167224028, 771.32342877765313, -176.61502916214059, 12.507343278686905,
  -0.13857109526572012, 9.9843695780195716e-6, 1.5056327351493116e-7,
]

/** ln Gamma(x) for x > 0: Lanczos (g = 7, n = 9) below 20, Stirling's series from there on; about 14 digits. */
export function lnGamma(x: number): number {
  if (x < 0.5) return Math.log(Math.PI / Math.sin(Math.PI * x)) - lnGamma(1 - x)
  if (x >= 20) {
    const r = 1 / (x * x)
    return (x - 0.5) * Math.log(x) - x + 0.5 * Math.log(2 * Math.PI) + (1 / 12 - r * (1 / 360 - r * (1 / 1260 - r / 1680))) / x
  }
  let sum = lanczos[0]!
  for (let i = 1; i < 9; i++) sum += lanczos[i]! / (x - 1 + i)
  const t = x + 6.5
  return 0.5 * Math.log(2 * Math.PI) + (x - 0.5) * Math.log(t) - t + Math.log(sum)
}

const lnBeta = (a: number, b: number) => lnGamma(a) + lnGamma(b) - lnGamma(a + b)

/** P(failures among n <= most), failures beta-binomial. Terms by their ratio, started in logarithms; O(most).
 *  Where the ratio would start from an underflow it sums from the other end of the range kept. */
export function failuresAtMost(most: number, n: number, { failed: a, good: b }: Beta): number {
  if (most >= n) return 1
  const lnTerm = (k: number) => lnGamma(n + 1) - lnGamma(k + 1) - lnGamma(n - k + 1) + lnBeta(k + a, n - k + b) - lnBeta(a, b)
  let sum = 0
  let ln = lnTerm(0)
  for (let k = 0; k <= most; k++) {
    sum += Math.exp(ln)
    ln += Math.log(((n - k) * (k + a)) / ((k + 1) * (n - k - 1 + b)))
    if (k % 256 === 255) ln = lnTerm(k + 1)
  }
  return Math.min(1, sum)
}

/** E[(1 - p^c)^N] with p ~ Beta(failed, good): the chance that all N people have at least one good print among c.
 *  Tanh-sinh quadrature in logarithms (endpoint singularities of a, b < 1 vanish), doubled until 1e-13 agrees. */
export function everybodyHasOne(c: number, people: number, beta: Beta): number {
  if (people === 0) return 1
  let before = NaN
  for (let n = 128; n <= 65_536; n *= 2) {
    const now = tanhSinh(n, c, people, beta)
    if (Math.abs(now - before) < 1e-13) return Math.min(1, now)
    before = now
  }
  return Math.min(1, before)
}

function tanhSinh(n: number, c: number, people: number, { failed: a, good: b }: Beta): number {
  const reach = Math.asinh(750 / (Math.PI * Math.min(a, b, 1)))
  const h = (2 * reach) / n
  const lnB = lnBeta(a, b)
  let sum = 0
  for (let i = 0; i <= n; i++) {
    const t = -reach + i * h
    const u = Math.PI * Math.sinh(t)
    const lnP = -softplus(-u)
    const lnQ = -softplus(u)
    const ln = a * lnP + b * lnQ - lnB + people * ln1mExp(c * lnP)
    if (ln > -745) sum += Math.exp(ln) * Math.PI * Math.cosh(t)
  }
  return sum * h
}

const softplus = (x: number) => (x > 0 ? x + Math.log1p(Math.exp(-x)) : Math.log1p(Math.exp(x)))

/** ln(1 - e^x) for x <= 0, without losing digits at either end. */
const ln1mExp = (x: number) => (x > -0.7 ? Math.log(-Math.expm1(x)) : Math.log1p(-Math.exp(x)))
