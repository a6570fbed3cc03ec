import { Soon } from '@/places/soon/Soon';

export default function Devices() {
  return <Soon place="devices" />;
}
