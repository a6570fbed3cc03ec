// Words of posts, departments and organisations in the languages that are read. Common practice; written from memory.
import { cached } from '@/core/base';

import * as words from './whoWords.data';

/** What is asked of a pattern. */
interface Pattern {
  test(text: string): boolean;
  exec(text: string): RegExpExecArray | null;
}

/** Texts whose answers are remembered; one text has some dozens of pieces, each looked at by several rules. */
const MOST_REMEMBERED = 500;

/** A pattern or any of some words that stand by themselves, or of some that stand where no space parts words. */
function withWords(first: RegExp, spaced: readonly string[], unspaced: string): Pattern {
  const form = new RegExp(
    String.raw`${first.source}|(?:^|[\s/&(,«„"-])(?:${spaced.join('|')})(?=$|[\s,.;|/&):»“"-])|${unspaced}`,
    'iu',
  );
  const exec = cached(MOST_REMEMBERED, (text) => form.exec(text));
  return { exec, test: (text) => exec(text) !== null };
}

/** A word that names what somebody does; stems, so that endings don't matter. */
export const POST = withWords(
  /(?:^|[\s/&(,-])(?:(?:vice|deputy|assistant|associate|senior|junior|chief|head|lead|managing|executive|artistic|general|co-?)\s?-?)*(?:director|manager|head of|officer|ceo|cto|cfo|coo|cio|president|chair(?:man|woman|person)?|founder|owner|partner|consultant|engineer|developer|designer|architect|analyst|assistant|secretary|co-?ordinator|co[oö]rdinat(?:or|rice)|notaire|producent(?:ka)?|produttore|productora?|administrator|editor|producer|executive|\p{L}*sprecher(?:in)?|(?:product|team|tech|project|design|programme) lead|prokurist(?:in)?|\p{L}*(?:arzt|ärztin)(?= für|$)|surveyor|clerk|driver|barrister|broker|banker|auditor|controller|publicist|promoter|impresario|vicar|priest|pharmacist|plumber|electrician|builder|gardener|caretaker|steward|publisher|author|writer|poet|painter|sculptor|illustrator|restorer|tailor|\p{L}+ologist|\p{L}+grapher|midwife|coach|trainer|counsel|counsellor|fundraiser|curator|conductor|pianist|violinist|violist|cellist|composer|soprano|mezzo-?soprano|alto|tenor|baritone|bass|organist|flautist|oboist|harpist|trumpeter|singer|musician|tuner|maker|luthier|agent|lawyer|solicitor|attorney|accountant|treasurer|teacher|lecturer|researcher|scientist|librarian|archivist|journalist|critic|photographer|translator|interpreter|nurse|physician|surgeon|dentist|therapist|buyer|sales|representative|supervisor|specialist|technician|planner|trainee|intern|principal|dean|registrar|bookkeeper|printer|carpenter|harbour ?master|mayor|councillor|professor(?: of)?|(?:geschäfts|abteilungs|projekt|bereichs|team|verkaufs|vertriebs|personal|produktions|kultur|betriebs|künstlerische |musikalische )?leit(?:er|erin|ung)|geschäftsführ\p{L}*|vorstand\p{L}*|inhaber(?:in)?|direktor(?:in)?|dirigent(?:in)?|intendant(?:in)?|dramaturg(?:in)?|referent(?:in)?|sachbearbeiter(?:in)?|berater(?:in)?|ingenieur(?:in)?|entwickler(?:in)?|assistenz|assistent(?:in)?|sekretär(?:in)?|lehrer(?:in)?|rechtsanwalt|rechtsanwältin|steuerberater(?:in)?|redakteur(?:in)?|buchhalter(?:in)?|meister(?:in)?|\p{L}*bauer(?:in)?(?=$|[\s,|])|\p{L}+meister(?:in)?|kauf(?:mann|frau)|einkäufer(?:in)?|stimmer(?:in)?|bürgermeister(?:in)?|cellistin|geigerin|pianistin|sängerin|direct(?:eur|rice)|responsable|gérante?|président[e]?|chef(?:fe)? d\p{L}*|chargée? d\p{L}*|attachée?|ingénieure?|secrétaire|comptable|avocate?|conseill(?:er|ère)|adjointe?|professeure?|rédact(?:eur|rice)|violoniste|pianiste|altiste|violoncelliste|chanteuse|fondat(?:eur|rice)|accordeu(?:r|se)|réparateur|luthi(?:er|ère)|directora?|gerente|presidenta?|jef[ea]|encargad[oa]|ingenier[oa]|abogad[oa]|secretari[oa]|coordinadora?|profesora?|técnic[oa]|asesora?|consultora?|fundadora?|responsabile|assistente|direttore|direttrice|dirigente|titolare|amministrat(?:ore|rice)|presidente|avvocat[oa]|ingegnere|segretari[oa]|consulente|coordinat(?:ore|rice)|professore(?:ssa)?|impiegat[oa]|capo|socio|fondat(?:ore|rice)|directeur|directrice|manager|hoofd|medewerk(?:er|ster)|adviseur|eigenaar|eigenaresse|bestuurder|voorzitter|secretaris|leraar|docent|advocaat|beheerder|zakelijk leider|dyrektor(?:ka)?|kierowni(?:k|czka)|prezes(?:ka)?|specjalist(?:a|ka)|inżynier|asystent(?:ka)?|właściciel(?:ka)?|księgow[ay]|redaktor(?:ka)?|adwokat|radca|nauczyciel(?:ka)?|główn[ay]|zastępca|koordynator(?:ka)?|diretora?|gestora?|chefe|engenheir[oa]|advogad[oa]|secretári[oa]|coordenadora?|sócio|proprietári[oa]|professora?|assessora?|verkställande|vd|chef|avdelningschef|ansvarig|handläggare|ordförande|sekreterare|konsult|ingenjör|ägare|lärare|redaktör|samordnare|projektledare|\p{L}+chef|\p{L}+ledare|\p{L}+ansvarig|konstnärlig|stämmare|klockare|produtora?|\p{L}*(?:fotograf|anwalt|anwältin|leider|stimmer|leiter|manager|berater|lehrer|redakteur|direktor|assistent|ingenieur|entwickler|referent|techniker|stämmare|lärare|konsult|ingenjör|tekniker|medewerker|adviseur|docent|leraar|stemmer)(?:in)?|régisseu(?:r|se)(?: général)?|afinador(?:a)?|accordatore|accordatrice|stroiciel(?:ka)?|organist(?:in|a|e)?)(?=$|[\s,.;|/&):-])|代表取締役|取締役|社長|局長|部長|課長|係長|主任|担当|所長|店長|支配人|理事長?|教授|監督|マネージャー|調律師|演奏家|奏者|弁護士|記者|編集長?|職員|調音師|调音师|律师|记者|编辑|ディレクター|指揮者|総经理|总经理|经理|經理|總監|總經理|工程師|會計|秘書|負責人|團長|指揮|校長|業務|总监|董事长?|主管|主席|工程师|教授|会计|秘书|负责人|团长|指挥|校长|主任|(?:^|\s)(?:مدير|مديرة|رئيس|رئيسة|مهندس|مهندسة|محاسب|محاسبة|مسؤول|مسؤولة|مستشار|مستشارة|أستاذ|أستاذة|محرر|محررة|سكرتير|سكرتيرة|عازف|عازفة)(?=$|\s)|(?:^|\s)(?:trưởng phòng|phó phòng|giám đốc|phó giám đốc|trưởng ban|chuyên viên|nhân viên|kế toán|thư ký|giáo viên|biên tập viên|nhạc trưởng|nghệ sĩ)(?=$|\s)/iu,
  [...Object.values(words.POSTS), words.OTHER_POSTS],
  words.UNSPACED_POSTS,
);

/** A word of a department. */
export const DEPARTMENT = withWords(
  /(?:^|\s)(?:department|dept\.?|division|unit|office of|faculty|school of|section|team|desk|abteilung|lehrstuhl|amt für|abt\.?|bereich|referat|fachbereich|fakultät|dezernat|stabsstelle|sachgebiet|service|département|direction (?:de|des|du|générale)|pôle|bureau d\p{L}+|faculté|departamento|dpto\.?|área|sección|facultad|dirección (?:de|general)|direzione|segreteria|dipartimento|ufficio|reparto|settore|area|facoltà|afdeling|dienst|faculteit|sectie|dział|wydział|biuro|zakład|departament|sekcja|divisão|secção|setor|gabinete|faculdade|serviço|avdelning(?:en)?|enhet(?:en)?|sektion(?:en)?|förvaltning(?:en)?|fakultet(?:en)?)(?=$|[\s:,])|\p{L}+(?:abteilung|avdelningen|afdeling|förvaltningen|enheten)(?=$|\s)|\p{Script=Han}+[部课課科处室局](?=$|\s)/iu,
  [words.DEPARTMENTS],
  String.raw`(?:${words.UNSPACED_DEPARTMENTS})(?=$|\s)`,
);

/** What a firm is by law. */
export const LEGAL_FORM =
  /(?:^|[\s,])(?:ltd\.?|limited|llc|l\.l\.c\.|llp|inc\.?|corp\.?|corporation|plc|cic|gmbh(?: ?& ?co\.? ?kg)?|ggmbh|partg|mbb|mbh|ag|kg|kgaa|ohg|gbr|ug(?: ?\(haftungsbeschränkt\))?|e\. ?v\.?|e\. ?k\.?|e\. ?g\.?|s\.?a\.?s\.?(?:u\.?)?|s\.?a\.?r\.?l\.?|e\.?u\.?r\.?l\.?|sci|snc|s\.n\.c\.?|s\.?l\.?u?\.?|s\.?a\.?(?: de c\.?v\.?)?|s\.? ?coop\.?|s\.?p\.?a\.?|s\.?r\.?l\.?s?\.?|s\.a\.s\.?|soc\. coop\.|onlus|b\.?v\.?|n\.?v\.?|v\.?o\.?f\.?|sp\. ?z ?o\. ?o\.?|sp\. ?[jk]\.|s\. ?c\.|lda\.?|unipessoal|ltda\.?|ab|hb|a\/s|aps|as|oy|oyj|kft\.?|zrt\.?|s\.?r\.?o\.?|d\.o\.o\.?|a\.s\.|se|pty|pte|co\.,? ?ltd\.?|& co\.?)(?=$|[\s,.;|)])|株式会社|有限会社|合同会社|一般社団法人|財団法人|有限公司|有限责任公司|股份公司|集团|集團/iu;

/** A word that an organisation's name has, and hardly a person's. */
export const HOUSE = withWords(
  /(?:^|[\s-])(?:\p{L}*(?:universit\p{L}*|hochschule|akademie|academ\p{L}+|institut\p{L}*|schule|school|college|festival\p{L}*|festspiele|festwochen|theat(?:er|re)\p{L}*|teatr[oe]?|teatern?|opera|ópera|opéra|orche?st(?:ra|er|re)\p{L}*|orquesta|orquestra|orkest(?:er)?|orkiestra|ensemble|quartet\p{L}*|quartett\p{L}*|quatuor|cuarteto|quartetto|kwartet|kwintet|trio|chor|choir|chœur|chór|kör|philharmon\p{L}*|filharmon\p{L}*|museum|musée|museo|muzeum|museu|museet|galer(?:ie|y|ía|ia)|gallery|konserthus\p{L}*|konzert\p{L}*|concert\p{L}*|hotel|hôtel|hostal|pension|gasthof|verlag|publishing|publishers|éditions|editorial|editore|edizioni|uitgeverij|wydawnictwo|editora|förlag|druckerei|printers|imprimerie|imprenta|tipografia|drukkerij|drukarnia|tryckeri|banco|banca|sparkasse|kanzlei|notar\p{L}*|partners|associates|consulting|solutions|services|systems|technolog\p{L}+|group|gruppe|groupe|grupo|gruppo|holding|foundation|stiftung|fondation|fundación|fondazione|stichting|fundacja|fundação|stiftelsen?|society|gesellschaft|société|sociedad|società|vereniging|towarzystwo|sociedade|förening\p{L}*|verein|verband|association|asociación|associazione|associação|ministry|ministerium|ministère|ministerio|ministero|council|stadt|gemeinde|mairie|ayuntamiento|comune|gemeente|urząd|câmara|kommun|church|kirche\p{L}*|église|iglesia|chiesa|kerk|parafia|igreja|kyrka\p{L}*|hospital|klinik\p{L}*|clinique|clínica|klinika|praxis|studio|estudio|atelier|werkstatt|workshop|werk(?:e|stätten)?|works|haus|library|bibliothek|bibliothèque|biblioteca|bibliotheek|biblioteka|bibliotek|agency|agentur|agence|agencia|agenzia|agentschap|agencja|agência|management|production[s]?|verkehr|logistik|logistics|transport\p{L}*|spedition|media|medien|radio|rundfunk|zeitung|gazette|courier|kurier|journal|café|restaurant|bäckerei|apotheke|pharmacy|farmacia|shipping|bureau|büro|buro|kontor|fabrik|factory|manufaktur|handel|bookshop|buchhandlung|librairie|librería|libreria|boekhandel|księgarnia|livraria|bokhandel|conservator\p{L}+|conservatoire|konservator\p{L}+|étude|cabinet|conservatorio|musikhögskola\p{L}*|pianos?|klavier\p{L}*|harbour|hafen\p{L}*|liuteria|lutherie|geigenbau|klavierbau|orgelbau|(?<!\p{L})port))(?=$|[\s,.;|)-])|大学|大學|会社|公司|学校|學校|学院|協会|协会|財団|楽団|乐团|楽器|劇場|剧院|研究所|病院|医院|银行|銀行|ホール|美術館|博物馆|出版社|事務所|音楽祭|音乐厅|ホテル|酒店|中心|基金会|基金會|劇院|音樂廳|出版|醫院|圖書館|(?:^|\s)(?:شركة|مؤسسة|جامعة|مكتب|دار|مدرسة|مسرح|معهد|مستشفى|فندق|جمعية|مركز)\s|(?:^|\s)(?:công ty|nhà hát|trường|bệnh viện|ngân hàng|nhà xuất bản|trung tâm|viện|đại học|khách sạn)\s/iu,
  [...Object.values(words.HOUSES), words.OTHER_HOUSES],
  words.UNSPACED_HOUSES,
);

/** Labels before what they name; by field. */
export const WHO_LABELS: readonly (readonly ['name' | 'post' | 'department' | 'organisation', RegExp])[] = [
  [
    'name',
    /^(?:name|full name|contact(?: person)?|ansprechpartner(?:in)?|nom|nombre|nome|naam|imię i nazwisko|namn|persona de contacto|contactpersoon|kontaktperson|osoba kontaktowa|氏名|名前|姓名|联系人|聯絡人|担当者?)\s*[:：]\s*|^inh\.:?\s+/iu,
  ],
  [
    'post',
    /^(?:title|position|job title|role|funktion|poste|fonction|cargo|puesto|ruolo|qualifica|functie|stanowisko|befattning|titel|役職|职位|职务|職稱)\s*[:：]\s*/iu,
  ],
  [
    'department',
    /^(?:department|dept|abteilung|service|departamento|dipartimento|afdeling|dział|avdelning|部署|部门|部門)\s*[:：]\s*/iu,
  ],
  [
    'organisation',
    /^(?:company|organi[sz]ation|employer|firma|firm|unternehmen|société|entreprise|empresa|azienda|società|bedrijf|organisatie|företag|会社名?|社名|公司|单位|公司名称)\s*[:：]\s*/iu,
  ],
];

/** Between a post and where it is. */
export const POST_AT = /\s+(?:at|bei|beim|chez|presso|bij|w firmie|@|en la empresa|na|hos)\s+(?=\p{Lu})/u;

/** Pronouns as they stand beside names, with a stroke or in brackets. */
export const PRONOUNS =
  /\(?\b((?:she|he|they|ze|xe|sie|er|dey|xier|elle|il|iel|ella|él|elle|lei|lui|zij|hij|die|hen|ona|on|ela|ele|hon|han|hen)\s?\/\s?(?:her|him|hers|his|them|theirs?|they|she|he|hir|zir|ihr|ihm|ihn|ihre|sein|denen|deren|dem|elle|lui|elu|ella|él|suya?|sua|suo|haar|hem|hun|jej|niej|jego|niego|ela|dela|dele|henne|hennes|honom|hans|hen|hens)(?:\s?\/\s?(?:hers|his|theirs|zirs|ihr|sein|suya?))?)\b\)?/iu;

/** Chinese and Korean surnames met most; a Han name that begins with one is a name. */
export const HAN_SURNAMES = new Set([
  ...'王李张張刘劉陈陳杨楊黄黃赵趙吴吳周徐孙孫马馬朱胡郭何林高罗羅郑鄭梁谢謝宋唐许許邓鄧韩韓冯馮曹彭曾肖田董潘袁蔡蒋蔣余于杜叶葉程苏蘇魏吕呂丁任卢盧沈姚钟鍾姜崔谭譚陆陸范汪廖石金韦韋贾賈夏付傅方白邹鄒孟熊秦邱江尹薛阎閻段雷侯龙龍史陶黎贺賀顾顧毛郝龚龔邵万萬钱錢严嚴覃武戴莫孔向汤湯',
]);

/** What musicians call themselves by: the instrument alone. */
export const INSTRUMENT =
  /^(?:solo |first |principal )?(?:violin|viola|cello|double bass|piano|flute|oboe|clarinet|bassoon|horn|trumpet|trombone|tuba|harp|percussion|timpani|organ|harpsichord|lute|guitar|voice|soprano|bratsche|violine|geige|klavier|orgel|flöte|violon|alto|violoncelle|violín|violonchelo|violino|pianoforte|cembalo|skrzypce|altówka|violoncelo|fiol)$/i;

/** How firms speak of themselves and of who reads: no value. */
export const ADDRESSED =
  /^(?:ihre?|deine?|eure?|euer|your?|votre|vos|ton|tu|din|twoja|su|vostro|uw|twój|państwa|o seu|er|der|die|das|the|le|la|les|il|lo|de|het|di|by|von)\s+\p{L}/iu;

/** A greeting that is all of a piece. */
export const GREETING = new RegExp(`^(?:${words.GREETINGS})[!.,，！。]*$`, 'iu');
