/** What can be done about a fault, by what it says; the first that fits. */
const ADVICE: readonly (readonly [fault: RegExp, advice: string])[] = [
  [
    /40[13]|credential|password/i,
    'Check the user name and the password there; remove the server here and connect it again.',
  ],
  [/is offline/, 'Switch it online where it is held in the hand.'],
  [/is not in use/, 'Its passport has been removed: try it again under Devices.'],
  [
    /fetch failed|ECONNREFUSED|ENOTFOUND|ETIMEDOUT|reached/i,
    'Is the server on, and its address right? It is tried again at its next turn.',
  ],
  [/no cards to be found/, 'The address needs the folder of the cards, as the server’s own help names it.'],
  [/token is not known/, 'Nothing: it starts over by itself, which takes longer and changes nothing.'],
  [
    /too large/,
    'Take the largest picture or note off that card, or choose smaller pictures in its passport.',
  ],
  [/only receives/, 'Change the direction in its passport if what is written there shall come here.'],
  [/only read here/, 'Copy the card into the Book, and change it there.'],
  [
    /no card\b|only text\/vcard|one card is put/,
    'That card stays there as it is. Write it again on the device.',
  ],
  [/hub’s key/, 'Put hub.key beside the store again, or connect the server again.'],
  [/answered 5\d\d/, 'The server itself is at fault. It is tried again at its next turn.'],
];

/** What to do about a fault of a sync. */
export function adviceFor(fault: string): string {
  return (
    ADVICE.find(([pattern]) => pattern.test(fault))?.[1] ??
    'It is tried again at its next turn. If that doesn’t help, erase it, or connect it again.'
  );
}
