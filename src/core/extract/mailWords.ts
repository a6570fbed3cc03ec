// How mail programs and people begin, end and quote a mail in several languages. Common practice; written from memory.

/** Above a quoted mail: "On … wrote:". */
export const QUOTE_HEAD =
  /^(?:on|le|am|el|il|op|w dniu|dnia|em|den|på|den)\b.{4,160}\b(?:wrote|a écrit|schrieb(?:en)?|escribió|ha scritto|schreef|napisał(?:\(a\)|a|o)?|pisze|escreveu|skrev(?:s)?)\b.{0,160}[:：]?$|^.{4,160}\b(?:wrote|schrieb|a écrit|escribió|ha scritto|schreef|napisał(?:\(a\)|a)?|escreveu|skrev)\s*[:：]$|^(?:在\s*)?\d{4}\s*年.{2,160}(?:[:：]|写道|寫道|のメール|書きました)[:：]?$/iu;

/** A line that says that a mail sent before follows. */
export const ORIGINAL_HEAD =
  /^[-_=\s]*(?:original message|original appointment|ursprüngliche nachricht|originalnachricht|message d'origine|message d’origine|message original|mensaje original|messaggio originale|oorspronkelijk bericht|wiadomość oryginalna|oryginalna wiadomość|mensagem original|ursprungligt meddelande|元のメッセージ|原始邮件|原始郵件)[-_=\s]*:?$/iu;

/** A line that says that a mail is passed on. */
export const FORWARD_HEAD =
  /^[-_=\s]*(?:begin forwarded message|forwarded message|weitergeleitete nachricht|anfang der weitergeleiteten nachricht|message transféré|début du message transféré|mensaje reenviado|messaggio inoltrato|inizio messaggio inoltrato|doorgestuurd bericht|przekazana wiadomość|wiadomość przekazana|mensagem encaminhada|vidarebefordrat meddelande|転送メッセージ|转发邮件)\s*[-_=\s]*:?$/iu;

/** Fields at the head of a mail; the first group is the sender's. */
export const HEAD_FIELD =
  /^(?:(from|von|de|da|van|od|från|fra|差出人|发件人|寄件者)|to|an|à|a|para|aan|do|till|cc|kopie|bcc|subject|betreff|objet|asunto|oggetto|onderwerp|temat|assunto|ämne|date|datum|datos|fecha|data|sent|gesendet|envoyé|enviado|inviato|verzonden|wysłano|skickat|reply-to|宛先|件名|日時|送信日時|收件人|主题|主題|发送时间|日期)\s*[:：]\s*/iu;

/** The word that ends a mail, before the name. What follows it on its line may be the name. */
export const CLOSING =
  /^(?:(?:with |my )?(?:best|kind|warm|warmest|kindest|many)(?: and \w+)? ?(?:regards|wishes|greetings|thanks)(?: and (?:best|kind|warm) (?:regards|wishes))?|regards|best|yours(?: sincerely| faithfully| truly)?|sincerely(?: yours)?|all the best|cheers|thank you|thanks(?: again| in advance| a lot)?|(?:(?:mit|viele[n]?|schöne[n]?|herzliche[n]?|liebe[n]?|beste[n]?|sonnige|freundliche[n]?) )+gr(?:ü|ue)(?:ß|ss)e?n?(?: aus [\p{L} ]+)?|mfg|lg|vg|gr(?:ü|ue)(?:ß|ss)e|hochachtungsvoll|(?:bien |très )?cordialement|cordialement vôtre|bien à vous|salutations(?: distinguées)?|meilleures salutations|sincères salutations|(?:un |muchos )?(?:cordial(?:es)? )?saludos?(?: cordiales)?|atentamente|un abrazo|(?:distinti|cordiali|cari|un cordiale) salut[io]|cordialmente|in fede|met (?:vriendelijke|hartelijke|beste) groet(?:en)?|vriendelijke groet(?:en)?|hartelijke groet(?:en)?|groet(?:en)?|(?:z (?:poważaniem|wyrazami szacunku)|pozdrawiam(?: serdecznie)?|serdecznie pozdrawiam|łączę pozdrowienia)|(?:com os )?(?:melhores|atenciosos) cumprimentos|atenciosamente|(?:um )?abraço|cumprimentos|(?:med )?(?:vänlig(?:a)?|bästa|varma) hälsning(?:ar)?|mvh|hälsningar|よろしくお願い(?:いた|致)?します|以上|敬具|此致|敬礼|祝好|顺祝商祺|谢谢|順頌商祺|順祝商祺|敬祝商祺|敬祝|敬上|謝謝|(?:مع )?(?:خالص |أطيب )?(?:التحية|التحيات|تحياتي)(?: والتقدير)?|وتفضلوا بقبول فائق الاحترام|شكرا(?: لكم)?|trân trọng(?: cảm ơn| kính chào)?|thân mến|thân ái|kính thư)[\s,.!。！，]*/iu;

/** How a mail begins. */
export const SALUTATION =
  /^(?:dear|hi|hello|hey|good (?:morning|afternoon|evening)|sehr geehrte[rs]?|liebe[rs]?|guten (?:tag|morgen|abend)|hallo|bonjour|cher|chère|madame, monsieur|estimad[oa]s?|querid[oa]s?|buenos días|buenas tardes|gentil[ei]|egregi[oa]|car[oaie]|buongiorno|salve|beste|geachte|dag|szanown[iya]|dzień dobry|cześć|drogi|droga|prezad[oa]s?|car[oa]s?|olá|bom dia|boa tarde|hej|hejsan|bästa|god dag|各位|尊敬的|您好|你好|亲爱的|拝啓)\b[^:]{0,60}[,!:，！：]?$|(?:様|先生)[、,。]?$|^(?:いつも)?お世話になって/iu;

/** Words of paragraphs that lawyers and firms put under mails. */
export const DISCLAIMER =
  /confidential|intended (?:only )?(?:for|recipient)|if you (?:are not|have received)|privileged|disclaimer|virus|before printing|environment|unsubscribe|privacy (?:policy|notice)|vertraulich|irrtümlich|nicht der (?:richtige|beabsichtigte)|diese (?:e-?mail|nachricht)|datenschutz|umwelt|bevor sie|ce (?:message|courriel)|confidentiel|destinataire|n'imprimez|n’imprimez|l'environnement|este (?:mensaje|correo)|destinatario|medio ambiente|antes de imprimir|questo messaggio|riservat|d\.?lgs|gdpr|rgpd|dsgvo|dit bericht|deze (?:e-?mail|boodschap)|vertrouwelijk|geadresseerde|milieu|ta wiadomość|niniejsza|poufn|adresat|środowisk|esta mensagem|meio ambiente|konfidentiell|detta (?:meddelande|mejl)|miljö|本メール|このメール|機密|誤って|本邮件|保密|机密|收件人|sent from my|get \w+ for|gesendet von|von meinem|envoyé (?:de|depuis)|enviado desde|inviato da|verzonden (?:vanaf|met)|wysłane z|enviado do|skickat från|から送信|发自我的/iu;

/** What stands before figures that are no telephone numbers, and lines of the law about a firm. */
export const REGISTRY =
  /\b(?:vat|ust|u\.?st\.?-?id|uid|mwst|steuer|st\.?-?nr|tax|tva|siret|siren|rcs|rm|ape|naf|hr ?[ab]|fn|handelsregister|amtsgericht|registergericht|registered|company (?:no|number|reg)|charity|reg\.? ?no|iban|bic|swift|konto|blz|account (?:no|number)|sort code|bank|kvk|btw|nip|regon|krs|pesel|nif|nipc|cif|dni|c\.?i\.?f|p\.? ?iva|partita iva|c\.?f|cod(?:ice)?\.? fisc|rea|cap(?:ital)?\.? soc|org\.?-? ?n(?:r|ummer)|bankgiro|plusgiro|momsreg|bg|pg|invoice|inv|order|ref|reference|customer|ticket|case|quote|po|rechnung|rechnungs-?nr|auftrag|bestell\w*|kunden\w*|az|aktenzeichen|facture|commande|dossier|factura|pedido|fattura|ordine|pratica|factuur|bestelling|faktura|faktury|zamówieni\w*|fatura|encomenda|isbn|issn|doi|capital|stammkapital)\b[^a-z]{0,3}(?:nr|no|number|id|n°|nº|num(?:mer)?|numero|núm)?\b|登録番号|法人番号|請求書|注文|口座|税号|税號|账号|帳號|发票|發票|订单|訂單|统一社会信用代码/iu;

/** That the text is the one a firm has to show of itself. */
export const IMPRINT =
  /^(?:impressum|imprint|legal notice|mentions légales|aviso legal|note legali|colofon|nota prawna|dane firmy|informação legal|om webbplatsen|会社概要|公司信息|angaben gemäß.*)\s*:?$/imu;

/** Who stands for a firm by law, named where the law has it named: not whom a signature is about. */
export const STANDS_FOR =
  /^(?:geschäftsführ\p{L}*|vertreten durch|vertretungsberechtigt\p{L}*|vorstand|aufsichtsrat\p{L}*|inhaber(?:in)?|managing directors?|directors?|represented by|gérante?|directeur de (?:la )?publication|représentée? par|administrador(?:es)?|legale rappresentante|bestuur|reprezentowana przez|gerência|vd|代表者|法定代表人)\s*[:：]/iu;
