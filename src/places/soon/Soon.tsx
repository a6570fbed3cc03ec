import { EmptyPlace } from '@/ui';

/** What the places that are not built yet will hold. */
const PROMISES = {
  devices: [
    'Devices',
    'The phone, the mail client and the computer: what each one gets, and what came and went.',
  ],
} as const;

/** A place that is coming. */
export function Soon({ place }: { readonly place: keyof typeof PROMISES }) {
  const [title, text] = PROMISES[place];
  return <EmptyPlace title={title} text={text} isComing />;
}
