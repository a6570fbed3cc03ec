// How people say who they are, and where from, in the middle of a sentence. Common practice; written from memory.

/** Before a name: "this is", "ich bin", "meu nome é". */
const BEFORE: Readonly<Record<string, string>> = {
  en: `my details:|my contact details:|this is|it['’]s|here is|here['’]s|i am|i['’]m|my name is|name['’]s|speaking:`,
  de: String.raw`hier ist|hier spricht|hier|ich bin(?: die| der)?|ich hei(?:ß|ss)e|mein name ist|es grüßt|sie sprechen mit|du sprichst mit|da(?=\s\p{Lu}\p{L}+(?:\s\p{Lu}\p{L}+)?\s(?:von|vom|aus|beim?)\s)`,
  fr: `c['’]est|vous parlez (?:à|avec)|ici|je suis|je m['’]appelle|mon nom est|de la part de`,
  es: `(?:le|les|te|os) saluda|soy|me llamo|mi nombre es|habla|le escribe|te escribe|aquí`,
  pt: `sou(?: [oa])?|aqui é(?: [oa])?|fala(?: [oa])?|(?:o )?meu nome é|chamo-me|aqui fala(?: [oa])?|me chamo`,
  it: `sono|mi chiamo|il mio nome è|qui è|parla|ti scrive`,
  nl: `dit is|u spreekt met|ik ben|ik heet|mijn naam is|met|je spreekt met`,
  pl: `z tej strony|tu|jestem|nazywam się|mówi|pisze`,
  sv: `det här är|det är|du talar med|ni talar med|jag heter|mitt namn är|här är|jag är`,
  da: `det er|du taler med|de taler med|her er|jeg hedder|mit navn er|jeg er`,
  no: `dette er|du snakker med|det er|jeg heter|mitt navn er|navnet er`,
  fi: `täällä|tässä|nimeni on|olen|minä olen|tässä on`,
  cs: `tady|jmenuji se|jsem|u telefonu|tu je|volám sa|som`,
  hu: `itt|a nevem|vagyok|nevem`,
  ro: `sunt|mă numesc|numele meu este|aici|mă cheamă|eu sunt`,
  tr: `ben|adım|benim adım|ismim`,
  el: `είμαι(?: η| ο)?|με λένε|ονομάζομαι|εδώ(?: η| ο)?|λέγομαι`,
  ru: `это|меня зовут|я|вас беспокоит|пишет вам|с вами`,
  uk: `це|мене звати|мене звуть|я|вас турбує`,
  ar: `أنا|معك|معكم|اسمي|انا`,
  hr: `ovdje|ovde|ja sam|zovem se|moje ime je`,
  id: `saya|nama saya|ini`,
  he: `אני|שמי|מדבר|מדברת|כאן`,
  vi: `tôi là|em là|mình là|tôi tên là|tên tôi là|anh là|chị là|đây là`,
  zh: `我是|这是|這是|我叫|我的名字是|本人`,
};

/** After a name that stands first: "Tove Granath heter jag", "Varga Dániel vagyok", "Dele Farouk here". */
const AFTER = `här|her|tady|itt|tutaj|здесь|here|speaking|heter jag|vagyok|hier|ici|aquí|qui|aqui|am apparat|olen|täällä`;

/** Between a person and where they are from or work. */
const FROM =
  `from|from the|of|of the|at|at the|with|for|von|von der|von dem|von den|vom|aus|aus der|aus dem|bei|bei der|
  bei den|bei dem|beim|im|in der|an der|am|de l'|de l’|de la|de los|de las|du|des|del|au|aux|à la|à l'|à l’|chez|dans|en la|
  en el|en|della|dello|delle|dei|degli|dell'|dell’|dal|dalla|dallo|presso|presso la|presso il|alla|al|nella|nel|da|do|das|
  dos|na|no|nos|nas|de|di|van|van de|van het|van der|bij|bij de|bij het|uit|uit de|uit het|z|ze|w|we|från|på|fra|hos|i|ved|
  v|ve|u|iz|iz tvrtke|iz firme|dari|di|de la|la|din|a|az|από|από το|από την|από τη|στο|στην|στη|του|της|из|с|со|от|в|во|з|із|від|у|من|في|لدى|từ|của|ở|tại|bên`
    .split('|')
    .map((words) => words.trim())
    // Longer words first, so that "della" isn't taken for "del".
    .toSorted((one, other) => other.length - one.length)
    .join('|');

/** Words that say of a stretch of a sentence that it is about work. */
const WORK = [
  `work(?:ing)?|arbeite|vertrete|leite|betreue|unterrichte|tätig|travaille|trabajo|trabalho|lavoro|werk|pracuję|jobbar|arbetar|jobber|arbeider|arbejder`,
  `työskentelen|pracuji|pracujem|dolgozom|lucrez|çalışıyorum|εργάζομαι|δουλεύω|работаю|працюю|[وا]?أعمل|واعمل|اعمل|làm việc|play|spiele`,
].join('|');

/** The beginning of a sentence in which somebody says who they are; the name follows it. */
export const INTRODUCTION = new RegExp(
  String.raw`(?:^|[\s.!?,;:(،¡¿]|(?<=\p{Script=Han}[，,。！]))(?:${Object.values(BEFORE).join('|')})[\s:]+|(?:${BEFORE['zh'] ?? ''})`,
  'giu',
);

/** What follows a name that stands first in its sentence. */
export const SAID_AFTER = new RegExp(String.raw`^\s+(?:${AFTER})(?=[\s.,!;]|$)`, 'iu');

/** From the name to the organisation: what lies between is of work, or is very little. */
export const FROM_WORDS = new RegExp(
  String.raw`(?<=^|[\s,])(?:${FROM})(?:\s+|(?<=['’])\s?)(?=[\p{L}„«"“])`,
  'giu',
);

/** Whether a stretch of a sentence speaks of work. */
export const SPEAKS_OF_WORK = new RegExp(String.raw`(?:^|[\s,])(?:${WORK})(?=[\s,]|$)`, 'iu');
