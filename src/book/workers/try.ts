import * as Comlink from 'comlink';
import { z } from 'zod';
Comlink.expose({ hi: () => 'hello ' + z.string().safeParse(1).success });
