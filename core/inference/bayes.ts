/**
 * Bayes' theorem over a few exclusive hypotheses. `prior` and each likelihood (the chance of what was seen under each
 * hypothesis) have one number a hypothesis, in the same order. Evidence is taken as independent given the hypothesis.
 * Gives probabilities that sum to 1. Throws a RangeError when lengths differ or the evidence is impossible under all.
 */
export function posterior(prior: readonly number[], likelihoods: readonly (readonly number[])[]): number[] {
  if (likelihoods.some((likelihood) => likelihood.length !== prior.length))
    throw new RangeError('Every likelihood needs one number for each hypothesis.');
  const weights = prior.map((p, h) => likelihoods.reduce((weight, likelihood) => weight * likelihood[h]!, p));
  const total = weights.reduce((a, b) => a + b, 0);
  if (!(total > 0)) throw new RangeError('This evidence cannot occur under any hypothesis.');
  return weights.map((weight) => weight / total);
}

/** Shannon entropy in bits of a distribution; 0·log 0 counts as 0. Source: Shannon (1948). */
export function entropyBits(distribution: readonly number[]): number {
  return distribution.reduce((sum, p) => (p > 0 ? sum - p * Math.log2(p) : sum), 0);
}

/**
 * Expected information gain in bits of a test: how much less uncertain the hypotheses are expected to be after it.
 * `outcomes` holds, for each outcome of the test, its chance under each hypothesis (each hypothesis's chances sum to
 * 1 over the outcomes). Source: Lindley (1956), On a measure of the information provided by an experiment.
 */
export function informationGain(belief: readonly number[], outcomes: readonly (readonly number[])[]): number {
  const after = outcomes.reduce((sum, likelihood) => {
    const chance = likelihood.reduce((total, l, h) => total + l * belief[h]!, 0);
    return chance > 0 ? sum + chance * entropyBits(posterior(belief, [likelihood])) : sum;
  }, 0);
  return Math.max(0, entropyBits(belief) - after);
}
