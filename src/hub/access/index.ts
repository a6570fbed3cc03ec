/**
 * Who may call what: one table of the hub's routes, and the gate that holds to it.
 */
export { browserOf, userOf } from './callers';
export { gate, routeOf } from './gate';
export { routesOf } from './routes';
