import { ChosenBar, loadCardWork } from '@/places/card';
import { TablePage } from '@/places/find';

// A route has to be a component by itself: the router loads it lazily, and a lazy component can't give another.
export default function TableRoute() {
  return <TablePage ChosenBar={ChosenBar} loadWriting={loadCardWork} />;
}
