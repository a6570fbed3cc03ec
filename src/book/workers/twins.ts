import { expose } from 'comlink';

import { makeTwins } from './makeTwins';

expose(makeTwins());
