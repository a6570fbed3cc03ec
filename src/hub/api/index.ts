/**
 * The JSON interface for the application.
 */
export { answerFault, numberRequests } from './answers';
export { calendarApi, calendarFeed } from './calendarApi';
export { demoApi } from './demoApi';
export { demoLookup, demoWeb } from './demoWeb';
export { devicesApi } from './devicesApi';
export { directoryApi } from './directoryApi';
export { exchangeApi } from './exchangeApi';
export { feedsApi } from './feedsApi';
export { healthApi } from './healthApi';
export { mailboxApi } from './mailboxApi';
export { Metrics } from './metrics';
export { pairApi } from './pairApi';
export { placesApi } from './placesApi';
export { standInsApi } from './standInsApi';
