import { watchBack } from './navigation';

watchBack();
