import { Soon } from '@/places/soon/Soon';

export default function Tidy() {
  return <Soon place="tidy" />;
}
