import { foldText } from '@/core/base';

import { MORE_GIVEN_NAMES } from './moreGivenNames.data';

/** Given names met often in the languages that are read. Common knowledge, written from memory; folded. */
const GIVEN = new Set(
  foldText(`
  james john robert michael william david richard joseph thomas charles christopher daniel matthew anthony mark donald steven
  paul andrew joshua kenneth kevin brian george edward ronald timothy jason jeffrey ryan jacob gary nicholas eric jonathan
  stephen larry justin scott brandon benjamin samuel gregory frank alexander patrick raymond jack dennis jerry tyler aaron
  henry peter adam nathan zachary walter kyle harold carl arthur roger keith jeremy lawrence sean ethan albert jesse simon
  martin graham neil ian alan colin stuart malcolm nigel gareth hugh duncan angus oliver harry oscar leo max toby owen liam
  noah lucas mason logan elijah mary patricia jennifer linda elizabeth barbara susan jessica sarah karen lisa nancy betty
  margaret sandra ashley kimberly emily donna michelle carol amanda dorothy melissa deborah stephanie rebecca sharon laura
  cynthia kathleen amy angela shirley anna brenda pamela emma nicole helen samantha katherine christine rachel carolyn janet
  catherine maria heather diane ruth julie olivia joyce virginia victoria kelly lauren christina joan evelyn judith megan
  andrea cheryl hannah jacqueline martha gloria teresa ann sara madison frances kathryn janice jean abigail alice julia
  grace denise amber marilyn danielle beverly charlotte sophia rose diana isabella edith fiona harriet lucy molly freya
  imogen nora priya ngozi amara chloe zoe ella ava mia ben tom tim jim joe dan sam alex chris nick matt mike steve dave
  hans klaus peter wolfgang jurgen dieter manfred uwe gunter horst bernd werner heinz helmut rainer gerhard joachim stefan
  michael andreas thomas frank jens sven torsten matthias christian markus jan lars kai dirk olaf ralf holger jorg axel
  franz josef karl friedrich ludwig otto fritz johannes felix lukas jonas leon finn paul moritz tobias florian sebastian
  philipp maximilian gotz reto urs beat ursula monika petra sabine renate helga karin brigitte ingrid erika gisela susanne
  gabriele claudia birgit heike martina andrea angelika barbara cornelia katrin anja nicole stefanie silke ute elke heidi
  christa gudrun annegret annette helene lena lea hannah leonie johanna marie sophie franziska katharina theresa maren
  jean pierre michel andre philippe alain bernard jacques daniel francois gerard christian claude louis henri luc marc
  nicolas olivier pascal patrick paul rene serge stephane thierry vincent yves antoine guillaume julien mathieu etienne
  laurent didier bruno gilles hugo lucas theo remi marie nathalie isabelle sylvie catherine francoise martine christine
  monique valerie sandrine veronique celine sophie chantal patricia anne nicole dominique brigitte aurelie julie camille
  mireille elodie lea manon aicha amelie helene claire beatrice florence jeanne juliette
  jose antonio manuel francisco juan javier jesus carlos miguel alejandro rafael pedro pablo angel sergio fernando luis
  jorge alberto alvaro diego adrian ramon enrique raul ivan ruben vicente joaquin andres santiago eduardo victor roberto
  jaime ignacio carmen josefa isabel dolores pilar teresa ana francisca antonia mercedes rosario cristina lucia elena
  concepcion paula raquel silvia beatriz marta sonia rocio nuria ines alba irene luz pilar esther
  giuseppe giovanni mario luigi francesco vincenzo salvatore domenico paolo andrea marco stefano giorgio luca bruno
  alessandro matteo lorenzo davide simone federico gabriele riccardo tommaso tullio giulia francesca chiara federica
  alessandra valentina silvia elisa martina sara ilaria paola laura barbara roberta giovanna rosa lucia caterina
  johannes jan cornelis hendrik willem pieter gerrit jacobus dirk joost bram sander bas koen jeroen wouter maarten thijs
  daan sem lars joris anneke annelies femke marieke sanne lotte fleur iris esther ingrid wilma marijke hanneke els greet
  katarzyna anna malgorzata agnieszka krystyna barbara ewa elzbieta zofia jadwiga teresa magdalena joanna monika danuta
  aleksandra marta dorota piotr krzysztof andrzej tomasz pawel jan michal marcin jakub adam stanislaw lukasz zbigniew
  wojciech grzegorz jerzy tadeusz mateusz dariusz mariusz maciej rafal jacek jaroslaw
  joao antonio jose manuel pedro paulo miguel tiago rui nuno duarte goncalo ricardo bruno hugo diogo caetano rafael
  maria ana ines beatriz mariana catarina rita sofia joana leonor teresa isabel helena patricia sandra luisa graca
  lars anders mikael johan erik per karl olof peter jan thomas daniel gustav fredrik mats stefan bengt bo nils goran
  magnus gunnar olle sven hakan leif kjell ulf arne axel oscar viktor emil anna eva maria karin kristina lena kerstin
  sara malin ingrid marie birgitta monica annika ulla helena johanna linnea astrid marta elsa greta freja ebba
  hiroshi takashi kenji satoshi akira makoto naoki yuki haruto yuto sota misaki yoko keiko hanako akiko sakura yui
  wei li ming jun hong fang jing lei yan xiao ling mei hui ahmed mohammed ali omar hassan fatima aisha yusuf ibrahim
  ivan dmitri sergei alexei mikhail olga natalia svetlana tatiana irina yael noa avi moshe sanjay rajesh arjun anjali
  deepa kavita sunita ravi
  jens lars mette anne kirsten hanne lone mads frederik christian rasmus soren kasper mikkel ida clara amalie josefine
  ole arne bjorn kjell knut leif odd sigrid ingvild solveig marit hege silje eirik havard oystein magnus marte kari
  juha timo matti antti ville mikko jukka pekka tapio heikki anna-liisa tuula riikka sanna kaarina liisa aino eino eeva paivi
  jiri jan petr pavel karel vaclav tomas ondrej vojtech lukas marketa jana eva lenka pavla tereza katerina alena zuzana marek
  gabor zoltan istvan laszlo ferenc attila tamas peter zsofia eszter judit katalin erzsebet agnes daniel balazs kriszta
  ion andrei mihai radu dragos vlad cristian ioana andreea elena mihaela alexandra raluca bogdan sorin gheorghe
  ahmet emre burak cem can elif selin zeynep ayse fatma nihat murat hakan kemal deniz ece defne omer yusuf
  γιωργος νικος κωστας δημητρης γιαννης ελενη μαρια κατερινα σοφια αννα σταυρος παναγιωτης βασιλης χριστινα
  александр дмитрий сергей андрей алексей игорь антон иван михаил павел ольга елена наталья мария марина анна татьяна ирина екатерина
  олександр дмитро сергій андрій олексій ігор тарас олена наталія марія оксана ганна тетяна ірина катерина микола василь
  محمد أحمد علي عمر خالد يوسف كريم نادر سامي حسن فاطمة مريم ليلى سلمى هدى دينا رنا نور سارة عائشة
  nguyen tran le pham hoang huynh phan vu vo dang bui do ho ngo duong ly minh anh hoa lan huong vikram zeynep mehmet ayse mustafa kwame kofi ama chidi folasade adebayo thandi sipho`)
    .split(/\s+/)
    .filter(Boolean),
);

let known: ReadonlySet<string> | undefined;

/** The names met often, and those of the longer list; put together when first asked for. */
function knownNames(): ReadonlySet<string> {
  known ??= new Set([...GIVEN, ...inFull(MORE_GIVEN_NAMES)]);
  return known;
}

/** Names that are written by what they share with the one before. */
function inFull(short: string): string[] {
  const names: string[] = [];
  for (const [, shared = '', rest = ''] of short.replaceAll('\n', '').matchAll(/(\d)(\D*)/g))
    names.push((names.at(-1) ?? '').slice(0, Number(shared)) + rest);
  return names.map((name) => foldText(name));
}

/** Whether a word is a given name. */
export function isGivenName(word: string): boolean {
  const folded = foldText(word);
  return knownNames().has(folded) || folded.split('-').every((part) => knownNames().has(part));
}
