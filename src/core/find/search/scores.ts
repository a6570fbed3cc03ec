/** Raises the score of a place to another one, if that is higher. */
export function put(scores: Float32Array, place: number, score: number): void {
  if (score > (scores[place] ?? 0)) scores[place] = score;
}

/** Adds scores where both have one, and drops the others. */
export function addWhereBoth(total: Float32Array, scores: Float32Array): void {
  for (let place = 0; place < total.length; place += 1) {
    const a = total[place] ?? 0;
    const b = scores[place] ?? 0;
    total[place] = a > 0 && b > 0 ? a + b : 0;
  }
}
