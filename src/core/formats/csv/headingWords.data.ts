// Words that head columns, folded (core/text), in English, German, French, Spanish, Italian, Portuguese, Dutch, Swedish, Danish, Norwegian, Finnish, Polish, Czech, Russian, Japanese and Chinese. From dictionaries' common knowledge; written by hand.
import type { FieldId } from './columns';

/** Phrases that name a field, longest first where one contains another. */
export const FIELD_WORDS: Readonly<Partial<Record<FieldId, string>>> = {
  title:
    'title|salutation|prefix|name prefix|honorific|anrede|titel|akademischer titel|civilite|titre|tratamiento|titulo|titolo|aanhef|tytul|oslovení|敬称',
  given:
    'given name|first name|firstname|forename|christian name|vorname|prenom|nombre|nombre de pila|nome|primeiro nome|nome proprio|voornaam|roepnaam|fornamn|fornavn|etunimi|imie|jmeno|krestni jmeno|имя|名|名前|given',
  given2:
    'middle name|middle names|middlename|additional name|second name|zweiter vorname|weitere vornamen|deuxieme prenom|segundo nombre|secondo nome|nome do meio|tweede voornaam|mellannamn|mellemnavn|mellomnavn|toinen nimi|drugie imie|отчество',
  surname:
    'surname|last name|lastname|family name|familyname|nachname|familienname|zuname|nom|nom de famille|apellido|apellidos|primer apellido|cognome|sobrenome|apelido|achternaam|familienaam|efternamn|efternavn|etternavn|sukunimi|nazwisko|prijmeni|фамилия|姓|family|last',
  surname2: 'second surname|second last name|segundo apellido|zweiter nachname',
  generation: 'generation|suffix generation|generationszusatz',
  credential:
    'suffix|name suffix|degree|degrees|post nominal|namenszusatz|suffixe|sufijo|suffisso|sufixo|achtervoegsel|credentials',
  full: 'name|full name|fullname|display name|displayname|shown as|contact|contact name|person|anzeigename|vollstandiger name|voller name|nom complet|nom affiche|nombre completo|nombre para mostrar|nome completo|nome visualizzato|volledige naam|weergavenaam|naam|namn|fullstandigt namn|visningsnamn|navn|fulde navn|fullt navn|nimi|koko nimi|imie i nazwisko|cele jmeno|полное имя|фио|氏名|姓名|表示名',
  nickname:
    'nickname|nick name|nick|known as|alias|spitzname|rufname|surnom|pseudo|apodo|alias|soprannome|apelido informal|bijnaam|smeknamn|kaldenavn|kallenavn|lempinimi|pseudonim|przydomek|prezdivka|прозвище|псевдоним|ニックネーム|昵称',
  pronouns: 'pronouns|pronoun|pronomen|pronoms|pronombres|pronomi|pronomes',
  kind: 'kind|card kind|art der karte',
  organization:
    'organisation|organization|company|company name|business name|employer|firm|institution|firma|unternehmen|firmenname|arbeitgeber|societe|entreprise|organisme|empresa|organizacion|compania|azienda|societa|organizzazione|ditta|organizacao|bedrijf|organisatie|foretag|virksomhed|firmanavn|selskap|bedrift|yritys|organisaatio|organizacja|przedsiebiorstwo|spolecnost|организация|компания|会社|会社名|組織|公司|单位',
  unit: 'department|unit|division|section|office unit|abteilung|bereich|service|departement|departamento|seccion|reparto|dipartimento|setor|afdeling|avdelning|afdeling|avdeling|osasto|dzial|oddeleni|отдел|部署|部门',
  post: 'job title|jobtitle|job|position|post|occupation|profession|function|beruf|position|stellenbezeichnung|berufsbezeichnung|funktion|fonction|poste|profession|metier|puesto|cargo|profesion|ruolo aziendale|posizione|professione|qualifica|profissao|functie|beroep|befattning|yrke|stilling|titteli|ammatti|stanowisko|zawod|funkce|pozice|должность|役職|职位|职务',
  role: 'role|rolle|role dans|rol|ruolo|papel|funcao|roll|rooli|rola|роль',
  mail: 'mail|email|e mail|mail address|email address|e mail address|e mail adresse|mailadresse|emailadresse|courriel|adresse electronique|adresse e mail|adresse mail|correo|correo electronico|direccion de correo|posta elettronica|indirizzo email|indirizzo e mail|endereco de email|correio eletronico|e mailadres|e postadress|e post|epost|e postadresse|sahkoposti|sahkopostiosoite|adres e mail|адрес электронной почты|электронная почта|почта|メール|メールアドレス|电子邮件|邮箱',
  phone:
    'phone|telephone|tel|phone number|telephone number|number|telefon|telefonnummer|rufnummer|nummer|festnetz|telephone fixe|numero de telephone|telefono|numero de telefono|numero di telefono|telefone|numero de telefone|telefoon|telefoonnummer|telefonnr|tlf|puhelin|puhelinnumero|numer telefonu|телефон|номер телефона|電話|電話番号|电话|电话号码',
  account: 'account|instant messenger|im|chat|messenger|social profile|handle|konto|compte|cuenta',
  web: 'web|website|web site|web page|webpage|url|homepage|home page|link|webseite|internet|internetseite|site web|site internet|page web|sitio web|pagina web|sito web|sito internet|webbplats|hemsida|hjemmeside|nettside|kotisivu|verkkosivu|strona www|strona internetowa|webove stranky|сайт|веб сайт|ウェブサイト|网站|网址',
  street:
    'street|street address|address|address line|address line 1|street 1|road|strasse|straße|anschrift|adresse|rue|voie|adresse postale|calle|direccion|domicilio|via|indirizzo|rua|endereco|morada|straat|adres|gata|gatuadress|adress|gade|gateadresse|vej|katuosoite|osoite|ulica|ulice|адрес|улица|住所|番地|地址|街道',
  building:
    'address line 2|street 2|address 2|building|apartment|suite|adresszusatz|complement d adresse|complemento|piso|interno|appartement|toevoeging|huoneisto|mieszkanie',
  postbox:
    'post box|po box|p o box|postfach|boite postale|apartado|apartado postal|casella postale|caixa postal|postbus|postbox|postboks|postilokero|skrytka pocztowa|абонентский ящик|私書箱|邮政信箱',
  town: 'town|city|place|locality|ort|stadt|wohnort|ville|localite|commune|ciudad|poblacion|localidad|municipio|citta|comune|localita|cidade|plaats|stad|woonplaats|postort|ort|by|poststed|kaupunki|postitoimipaikka|miasto|miejscowosc|mesto|город|市区町村|市|城市',
  region:
    'region|state|province|county|state province|state or province|bundesland|kanton|land kreis|departement region|provincia|estado|comunidad|regione|stato|distrito|provincie|lan|landskap|fylke|maakunta|wojewodztwo|kraj region|область|регион|都道府県|省|省份',
  postcode:
    'postcode|post code|postal code|zip|zip code|zipcode|zip postal code|plz|postleitzahl|code postal|codigo postal|cp|cap|codice postale|codice avviamento postale|cep|postnummer|postnr|postinumero|kod pocztowy|psc|индекс|почтовый индекс|郵便番号|邮政编码|邮编',
  country:
    'country|country region|nation|land|staat|pays|pais|paese|nazione|stato estero|land region|maa|kraj|panstwo|zeme|stat|страна|国|国名|国家',
  countryCode: 'country code|landercode|landerkennzeichen|code pays|codigo de pais|codice paese',
  address:
    'full address|whole address|formatted address|postal address|mailing address|vollstandige adresse|adresse complete|direccion completa|indirizzo completo',
  birthday:
    'birthday|birth date|birthdate|date of birth|born|dob|geburtstag|geburtsdatum|geb|geboren|anniversaire|date de naissance|naissance|cumpleanos|fecha de nacimiento|nacimiento|compleanno|data di nascita|aniversario|data de nascimento|nascimento|verjaardag|geboortedatum|fodelsedag|fodelsedatum|fodselsdag|fodselsdato|syntymapaiva|syntymaaika|urodziny|data urodzenia|narozeniny|datum narozeni|день рождения|дата рождения|誕生日|生年月日|生日|出生日期',
  wedding:
    'wedding|wedding day|anniversary|wedding anniversary|hochzeitstag|hochzeit|jahrestag|anniversaire de mariage|mariage|aniversario de boda|boda|anniversario|anniversario di matrimonio|aniversario de casamento|trouwdag|huwelijksdag|brollopsdag|bryllupsdag|haapaiva|rocznica slubu|rocznica|vyroci svatby|годовщина|годовщина свадьбы|結婚記念日|结婚纪念日',
  death:
    'died|date of death|death|day of death|todestag|gestorben|date de deces|deces|fecha de fallecimiento|fallecimiento|data di morte|data de falecimento|overlijdensdatum|dodsdag',
  language:
    'language|languages|sprache|sprachen|langue|langues|idioma|idiomas|lingua|lingue|taal|talen|sprak|sprog|kieli|jezyk|jazyk|язык|言語|语言',
  interest:
    'interest|interests|interessen|interets|centres d interet|intereses|interessi|interesses|intressen|interesser',
  hobby: 'hobby|hobbies|hobbys|loisirs|aficiones|passatempi|passatempos|harrastukset',
  expertise: 'expertise|skills|skill|fachgebiet|kenntnisse|competences|competencias|competenze',
  tags: 'tag|tags|categories|category|groups|group|group membership|labels|keywords|kategorie|kategorien|gruppe|gruppen|schlagworte|stichworte|categorie|categories|groupe|groupes|etiquettes|mots cles|categoria|categorias|grupo|grupos|etiquetas|gruppo|gruppi|etichette|categorieen|groep|groepen|kategorier|grupp|grupper|luokat|ryhma|kategorie|grupa|grupy|skupina|категории|группа|グループ|カテゴリ|分组|分类',
  note: 'note|notes|comment|comments|remark|remarks|memo|notiz|notizen|bemerkung|bemerkungen|kommentar|anmerkung|anmerkungen|remarque|remarques|commentaire|commentaires|nota|notas|observaciones|comentarios|osservazioni|commenti|observacoes|notitie|notities|opmerking|opmerkingen|anteckning|anteckningar|noter|bemaerkninger|notat|notater|merknad|muistiinpanot|huomautus|notatka|notatki|uwagi|poznamka|poznamky|заметки|примечание|комментарий|メモ|備考|备注|附注',
  uid: 'uid|unique id|contact id|card id',
};

/** Words for where a value belongs, and our label for it (core/editing). */
export const CONTEXT_WORDS: Readonly<Record<'home' | 'work', string>> = {
  home: 'home|private|personal|personnel|privat|privee|prive|privado|particular|casa|domicile|domicilio|thuis|hem|hjem|hjemme|koti|domowy|domowa|domowe|prywatny|prywatna|soukromy|домашний|личный|自宅|個人|家庭|私人',
  work: 'work|business|office|job|geschaftlich|geschaft|dienstlich|arbeit|buro|beruflich|travail|professionnel|professionnelle|bureau|trabajo|oficina|laboral|lavoro|ufficio|trabalho|comercial|profissional|werk|zakelijk|kantoor|arbete|arbejde|arbeid|jobb|tyo|praca|sluzbowy|sluzbowa|prace|pracovni|рабочий|служебный|勤務先|会社用|工作|公司用',
};

/** Words for what a number can do, and our label for it. A column headed by one of them alone holds numbers. */
export const FEATURE_WORDS: Readonly<Record<'mobile' | 'fax' | 'pager' | 'main', string>> = {
  mobile:
    'mobile|mobil|mobiltelefon|mobilnummer|mobilfunk|handy|handynummer|cell|cellular|cell phone|cellphone|mobile phone|mobile number|portable|movil|celular|cellulare|telemovel|mobiel|mobieltje|gsm|matkapuhelin|kannykka|komorka|komorkowy|telefon komorkowy|mobilni|мобильный|сотовый|携帯|携帯電話|手机|移动电话',
  fax: 'fax|telefax|faxnummer|fax number|telecopie|telecopieur|faks|факс|ファックス|传真',
  pager: 'pager|beeper|bip|пейджер|ポケベル',
  main: 'main|main number|switchboard|zentrale|hauptnummer|standard|centralita|centralino|hoofdnummer|vaxel',
};
