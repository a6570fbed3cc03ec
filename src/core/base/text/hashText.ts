/**
 * 128 bits of a text as 32 hexadecimal digits: the same text always gives the same, others practically never.
 * Made of MurmurHash3's mixing; it protects against accidents, not against people.
 */
export function hashText(text: string): string {
  const lanes = [0x9e3779b9, 0x85ebca6b, 0xc2b2ae35, 0x27d4eb2f];
  for (let i = 0; i < text.length; i += 1) {
    const lane = i & 3;
    lanes[lane] = Math.imul((lanes[lane] ?? 0) ^ text.charCodeAt(i), 0x5bd1e995 + lane * 2);
    lanes[(lane + 1) & 3] = ((lanes[(lane + 1) & 3] ?? 0) + ((lanes[lane] ?? 0) >>> 13)) | 0;
  }
  // Two rounds, so that each lane has seen all others.
  for (let round = 0; round < 8; round += 1) {
    const next = (round + 1) & 3;
    lanes[next] = finalMix((lanes[next] ?? 0) ^ (lanes[round & 3] ?? 0) ^ text.length);
  }
  return lanes.map((lane) => (lane >>> 0).toString(16).padStart(8, '0')).join('');
}

/** MurmurHash3's 32-bit finaliser (A. Appleby, public domain; constants from memory). */
function finalMix(value: number): number {
  let h = value;
  h = Math.imul(h ^ (h >>> 16), 0x85ebca6b);
  h = Math.imul(h ^ (h >>> 13), 0xc2b2ae35);
  return h ^ (h >>> 16);
}
