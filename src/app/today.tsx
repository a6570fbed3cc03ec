import { Soon } from '@/places/soon/Soon';

export default function Today() {
  return <Soon place="today" />;
}
