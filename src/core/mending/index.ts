/**
 * Mending: what is found wrong or missing on a card, and what would put it right.
 * Standard: none; ours.
 * Left out: finding it (core/faults), which needs the numbering plans.
 */
export { type Fault, FAULT_CODES, type FaultCode, isLeft, isStillWrong, leaveAlone, mendCard } from './fault';
