// Words by which a typed name is taken apart. Common practice, from civil and academic usage; lower case,
// without dots. A word belongs here only if it is hardly ever a given name or a surname.

/** Forms of address and academic or clerical ranks that stand before a name. */
export const TITLES = words(`mr mrs ms miss mx dr prof professor sir dame lord lady rev reverend fr father
  sr sra srta don doña dom dona herr frau fräulein ing dipl-ing mag mgr mgr. phdr mudr mme mlle m. maître me
  sig sig.ra signor signora dott dott.ssa avv hr fru dhr mevr drs ir rabbi imam sheikh hon judge pan pani
  capt captain maj col gen lt sgt dr.med dr.phil priv.-doz pd kand cand maestro lic lcdo lcda arq inż
  drhab mga bca rndr judr paeddr thdr thlic ths pgs cand.mag cand.jur cand.phil dra drª eng.ª engª prof.ª profª dr.ª dr.in
  mag.a dipl.-ing.in bc mudr. д-р δρ δρ. dott.ing arch. dipl.-kfm dipl.-kff dipl.-päd dipl.-phys dipl.-psych dipl.-inf`);

/** Titles that are so only with their dot, as the letters alone are given names, initials or words. */
export const DOTTED_TITLES =
  words(`fil. fil.dr. eng. adw. univ. adv. av. doç. öğr. gör. uzm. yrd. doc. ing. арх. проф. доц. акад.
  канд. инж. адв. د. أ. م. أ.د. ts. ths. gs. pgs. ks. bs. ls. not. arq. lic. lek. geom. rag. dipl. κα. κ. καθ.
  mr. ph. tech. c.p. c.p.a. enf. psic. asst. assoc. hab. ir. drs.`);

/** Academic degrees, orders and memberships that stand after a name. */
export const CREDENTIALS =
  words(`phd dphil md mba msc bsc ba ma llb llm jd dds rn cpa obe mbe cbe kbe frs frcm
  frco fram lram arcm frsa esq qc kc mp ret p.e ph.d. csc drsc dsc frsm fram fria frsl friba riba mch frcp mrcp kbe dbe gbe dcm dl jp frsc mbbs meng beng bmus gcm artd dis frics mrics fca aca acca ll.m ll.b ph.d m.d m.sc b.sc b.a m.a d.phil m.phil mphil dsc dmus
  bmus mmus edd cfa pmp csc`);

/** Generation marks. */
export const GENERATIONS = words('jr sr ii iii iv junior senior jnr snr fils père neto filho');

/** Particles that belong to the surname that follows them. */
export const PARTICLES =
  words(`van von de der den des del della dello dei degli di da das do dos du d' la le les
  lo el al ul bin ibn bint ben abu ter ten te tot 't op aan in het af av zu zum zur vom y e i san santa mac st st.
  ap ab af`);

/** Chinese surnames of two characters. */
export const DOUBLE_HAN_SURNAMES = new Set(
  '欧阳 歐陽 司马 司馬 上官 诸葛 諸葛 夏侯 皇甫 尉迟 尉遲 公孙 公孫 令狐 慕容 司徒 东方 東方 独孤 獨孤'.split(
    ' ',
  ),
);

/** Korean surnames of two syllables. */
export const DOUBLE_HANGUL_SURNAMES = new Set('남궁 황보 제갈 선우 독고 사공 서문 동방'.split(' '));

/** A word as these lists have it: lower case, without the dot at its end. */
export function bareWord(word: string): string {
  return word.toLowerCase().replace(/[.,]+$/, '');
}

/** Whether a word is in a list, written with or without dots. */
export function isOneOf(word: string, list: ReadonlySet<string>): boolean {
  const bare = bareWord(word);
  return list.has(bare) || list.has(bare.replaceAll('.', '')) || list.has(word.toLowerCase());
}

function words(text: string): ReadonlySet<string> {
  return new Set(text.split(/\s+/));
}

/** Whether a line begins with what stands before a name: "Dr. phil.", "Herr", "Mr & Mrs". */
export function startsWithTitle(text: string): boolean {
  return isOneOf(text.trim().split(/\s+/)[0] ?? '', TITLES);
}
