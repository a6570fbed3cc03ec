// What has to be there before the router: see watchBack.
import '../platform/startWatchingBack';
import 'expo-router/entry';
