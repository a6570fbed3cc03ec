import { Soon } from '@/places/soon/Soon';

export default function Lists() {
  return <Soon place="lists" />;
}
