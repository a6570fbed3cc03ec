/**
 * Sync with the hub: pairing, pushing, pulling, values to settle.
 */
export { dropRefused, dropRefusedTalk } from './exchange';
export { keepExchanging } from './keepExchanging';
export { readPairing } from './keptPairing';
export { pairDemo, pairWithHub, unpairFromHub } from './pairing';
export { canKeepBoth, type Choice, settleValue } from './settleValue';
export { useHub, useHubAct, useHubAnswer } from './useHub';
