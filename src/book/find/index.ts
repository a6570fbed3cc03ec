/**
 * Where people are, and in which time zone.
 */
export { usePointOf, useWhereabouts } from './useWhereabouts';
export { useZoneOf } from './useZoneOf';
