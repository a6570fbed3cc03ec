/**
 * A uid for a card that came without one: the same text always gives the same, so that reading a file twice adds
 * nothing. A UUID of version 8 (RFC 9562 §5.8) around a 128-bit hash (MurmurHash3's mixing; not for security).
 */
export function uidFromText(text: string): string {
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
  const hex = lanes.map((lane) => (lane >>> 0).toString(16).padStart(8, '0')).join('');
  const variant = ((parseInt(hex.charAt(16), 16) & 3) | 8).toString(16);
  const uuid = `${hex.slice(0, 8)}-${hex.slice(8, 12)}-8${hex.slice(13, 16)}-${variant}${hex.slice(17, 20)}-${hex.slice(20)}`;
  return `urn:uuid:${uuid}`;
}

/** MurmurHash3's 32-bit finaliser (A. Appleby, public domain; constants from memory). */
function finalMix(value: number): number {
  let h = value;
  h = Math.imul(h ^ (h >>> 16), 0x85ebca6b);
  h = Math.imul(h ^ (h >>> 13), 0xc2b2ae35);
  return h ^ (h >>> 16);
}
