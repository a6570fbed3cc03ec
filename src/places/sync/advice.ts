import { texts } from '@/texts/sync/sync';

/** What can be done about a fault, by what it says; the first that fits. */
const ADVICE: readonly (readonly [fault: RegExp, advice: string])[] = [
  [/40[13]|credential|password/i, texts.checkUserNameAndPassword],
  [/is offline/, texts.switchItOnlineOnItsOwn],
  [/is not in use/, texts.itsPassportHasBeen],
  [/fetch failed|ECONNREFUSED|ENOTFOUND|ETIMEDOUT|reached/i, texts.isServerOnAndItsAddress],
  [/no cards to be found/, texts.addressNeedsFolderOfCards],
  [/token is not known/, texts.nothingItStartsOver],
  [/too large/, texts.takeLargestPictureOrNote],
  [/only receives/, texts.changeDirectionInItsPassport],
  [/only read here/, texts.copyCardIntoBook],
  [/no card\b|only text\/vcard|one card is put/, texts.thatCardStaysOnDevice],
  [/hub’s key/, texts.putHubKeyBack],
  [/answered 5\d\d/, texts.serverItselfIsAtFault],
];

/** What to do about a fault of a sync. */
export function adviceFor(fault: string): string {
  return ADVICE.find(([pattern]) => pattern.test(fault))?.[1] ?? texts.itIsTriedAgain;
}
