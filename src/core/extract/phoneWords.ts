import { foldText } from '@/core/base';

// Labels that stand beside numbers, folded as foldText does it. Common practice; written from memory.

/** A word of a label, and what it says of the number. */
export type PhoneWord = 'voice' | 'mobile' | 'fax' | 'private' | 'work';

const WORDS: Readonly<Record<PhoneWord, string>> = {
  voice: `tel telephone phone ph p t fon telefon telefono telefoon telefone tlf tlph ring direct direkt dw durchwahl
    zentrale festnetz ligne directe standard fixe fijo centralita fisso stacjonarny centrala vaxel direkttelefon call
    vast fixo line landline switchboard tfn telnr telefonnr telefoonnummer 电话 電話 電話番号 直通 代表 dt đt sđt thoại هاتف تليفون تلفون ت 座机 总机 办公电话 话机 tele
    טל טלפון telepon telp puh puhelin p phone telf fono fone stac vezetekes sabit τηλ τηλεφωνο σταθερο тел телефон 전화 전화번호 직통 τηλεφ centrala standard desk vx linea 号码 號碼 번호`,
  mobile: `mobile mob mobil mobiel mobieltje handy cell cellphone cellular cellulare cel celular movil mov portable port gsm kom
    komorka komorkowy telemovel telem tlm tm natel m c mobilnr mobiltelefon cellul 携帯 携帯電話 手机 移动电话 行動電話 手机号码 手机号 手機 手機號碼 行動 động dđ đtdđ جوال محمول موبايل نقال خلوي
    נייד ניידת hp ponsel mobitel matkapuhelin kannykka cep κιν κινητο моб мобильный мобільний сот сотовый 휴대폰 휴대전화 핸드폰`,
  fax: `fax f facsimile telefax telecopie telecopieur telefaks faks telecopiadora fx ファックス ファクス 传真 傳真 fax番号 فاكس telefaks faksi faxu φαξ факс 팩스`,
  private: `home private privat prive domicile personal personnel personale casa thuis huis dom domowy hem hemma particular
    maison 自宅 住宅 个人`,
  work: `work office business buro bureau oficina ufficio kantoor biuro escritorio kontor dienst dienstlich
    geschaftlich zakelijk pro professionnel trabajo lavoro trabalho arbete 勤務先 会社 办公室 单位`,
};

const BY_WORD: ReadonlyMap<string, PhoneWord> = new Map(
  Object.entries(WORDS).flatMap(([kind, words]) =>
    words.split(/\s+/).map((word) => [foldText(word), kind as PhoneWord] as const),
  ),
);

/** What one word of a label says of the number beside it; undefined for a word that is no label. */
export function phoneWord(folded: string): PhoneWord | undefined {
  return BY_WORD.get(folded);
}

/** The same of a piece of text in which no space parts words: "我的手机号码", "휴대폰번호는". */
export function phoneWordWithin(folded: string): PhoneWord | undefined {
  return (
    BY_WORD.get(folded) ??
    // "Mobilnummer", "Telefonszám", "cep telefonum"
    COMPOUNDS.find(([beginning]) => folded.startsWith(beginning))?.[1] ??
    UNSPACED.find(([word]) => folded.includes(word))?.[1]
  );
}

const COMPOUNDS: readonly (readonly [beginning: string, word: PhoneWord])[] = [
  ...(['mobil', 'handy', 'matkapuhel', 'мобильн', 'мобільн', 'celular', 'telemov'] as const).map(
    (one) => [one, 'mobile'] as const,
  ),
  ...(['telefax', 'telefaks', 'faxn'] as const).map((one) => [one, 'fax'] as const),
  ...(['telefon', 'puhelin', 'телефон', 'τηλεφων'] as const).map((one) => [one, 'voice'] as const),
];

/** Labels in scripts without spaces, the longest first. */
const UNSPACED = [...BY_WORD]
  .filter(([word]) => word.length > 1 && /[\p{Script=Han}\p{Script=Hangul}\p{Script=Katakana}]/u.test(word))
  .toSorted(([a], [b]) => b.length - a.length);

/** Words before an extension that number plans don't know, in several languages. Common practice; from memory. */
export const EXTENSION =
  'poste|dw|durchwahl|klappe|int\\.?|wew\\.?|anexo|ramal|toestel|tst\\.?|ankn\\.?|内線|內線|分机|分機|转|轉|máy lẻ|داخلي|тел\\.?\\s?доб\\.?|доб\\.?|дод\\.?|dahili|mellék|klapka|linka|alanumero|lok\\.?|extensão|extensión|interno|εσωτ\\.?|내선';
