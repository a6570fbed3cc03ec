// Source: invented for the demo, written by hand. Numbers: ranges kept for fiction where a country has one
// (GB Ofcom drama numbers, US 555-01xx, FR 01 99 00, DE 030 23125 xxx, AU 5550/7010, SE 08-465 004 xx, IE 020 91x);
// elsewhere 555 numbers that are not in service. Version 1.

/** A country of the demo: how people there are called, live and are dialled. */
export interface DemoCountry {
  readonly code: string;
  readonly country: string;
  /** Name lines, given name first unless the script has it otherwise. */
  readonly people: readonly string[];
  readonly towns: readonly (readonly [town: string, postcode: string])[];
  readonly streets: readonly string[];
  /** Numbers with # for digits. */
  readonly phones: readonly string[];
  readonly familyFirst?: boolean;
  readonly doubleSurname?: boolean;
  readonly language: string;
}

/** Where the people of the demo come from. */
export const COUNTRIES: readonly DemoCountry[] = [
  {
    code: 'GB', country: 'United Kingdom', language: 'en',
    people: ['Ada Lowther', 'Amara Mbeki-Hale', 'Barnaby Quill', 'Beatrix Fenwick', 'Callum Thorne', 'Cecily Wren', 'Dr. Edmund Harker', 'Effie Strand', 'Felix Oakshott', 'Georgina Pell', 'Harriet Sands', 'Imogen Vale', 'Jasper Corrie', 'Kit Marlow-Reed', 'Leonora Bysshe', 'Maud Ferris', 'Ned Larkin', 'Ottilie Grange', 'Percy Dunmore', 'Rosalind Ashby', 'Rev. Silas Penhale', 'Tabitha Crook', 'Una Merrick', 'Violet Ormsby', 'Wilf Garrick', 'Sir Hector Balfour-Dunn', 'Morag Innes', 'Hamish Tait', 'Nia Prosser', 'Gethin Pryce', 'Ruby Tallis', 'Owen Tallis', 'Iris Tallis', 'Ben Tallis'],
    towns: [['Wexmere', 'WX1 4HB'], ['Wexmere', 'WX1 2QA'], ['Wexmere', 'WX2 7LR'], ['London', 'N1 9ZZ'], ['Leith', 'EH6 9ZZ'], ['Bristol', 'BS1 9ZZ']],
    streets: ['4 Harbour Row', '17 Minster Close', '2 Ropewalk', '31 Quay Street', '8 Lighthouse Lane', '12 Chapel Steps', '5 Net Loft Yard', '22 Tidewater Road'],
    phones: ['01632 960###', '020 7946 0###', '07700 900###', '+44 161 496 0###'],
  },
  {
    code: 'DE', country: 'Germany', language: 'de',
    people: ['Anneliese Großmann', 'Bärbel Jürgens', 'Dr. Clemens von Rüdern', 'Friederike Löwenau', 'Götz Achterberg', 'Henrike Süß', 'Jörg Mäkelburg', 'Karl-Heinz Bräuner', 'Lieselotte zur Mühlen', 'Matthias Ehrenpreis', 'Prof. Ulrike Halmstein', 'Volker Ströbele'],
    towns: [['Hamburg', '20099'], ['Berlin', '10115'], ['Husum', '25813'], ['Leipzig', '04109']],
    streets: ['Hafenstraße 7', 'Am Deich 12', 'Lindenallee 3', 'Orgelgasse 9'],
    phones: ['030 23125 ###', '+49 40 66969 ###', '+49 171 39200##'],
  },
  {
    code: 'FR', country: 'France', language: 'fr',
    people: ['Jean-Luc Lévêque', 'Apolline Dessange', 'Céleste d’Aubrac', 'François Le Goff', 'Hélène Roussillon', 'Maëlle Kerouac', 'Noé Chastaing', 'Solène de la Tour', 'Théodore Œuvrard', 'Yaël Benamou'],
    towns: [['Sète', '34200'], ['Paris', '75011'], ['Lyon', '69002'], ['Saint-Malo', '35400']],
    streets: ['14 quai des Ormes', '3 rue de la Harpe', '28 avenue du Port', '6 impasse des Luthiers'],
    phones: ['01 99 00 ## ##', '+33 2 61 91 ## ##', '+33 6 39 98 ## ##'],
  },
  {
    code: 'IT', country: 'Italy', language: 'it',
    people: ['Giulia Marchetti', 'Alessandro De Santis', 'Beatrice Lorenzini', 'Corrado Della Valle', 'Fiammetta Zuccari', 'Lodovico Pàstena', 'Noemi Quaranta', 'Tullio Bergamin'],
    towns: [['Cremona', '26100'], ['Trieste', '34121'], ['Bologna', '40121']],
    streets: ['Via dei Liutai 5', 'Piazza del Molo 2', 'Corso Stradivo 18'],
    phones: ['+39 0372 555 ##', '+39 040 555 ###', '+39 320 555 ####'],
  },
  {
    code: 'PL', country: 'Poland', language: 'pl',
    people: ['Tomasz Brzeg', 'Ewa Brzeg', 'Marek Brzeg', 'Łucja Świętosława Żak', 'Zbigniew Wójcicki', 'Agnieszka Ćwik', 'Michał Dąbek', 'Jadwiga Śliwa'],
    towns: [['Gdynia', '81-350'], ['Kraków', '31-008'], ['Gdańsk', '80-831']],
    streets: ['ul. Portowa 7', 'ul. Strojna 15/3', 'ul. Żeglarska 2'],
    phones: ['+48 58 555 0# ##', '+48 600 555 0##', '+48 12 555 ## ##'],
  },
  {
    code: 'SE', country: 'Sweden', language: 'sv',
    people: ['Oda Lindqvist', 'Åke Öberg', 'Märta Ängström', 'Sixten Hård af Segeby', 'Tuva Sjöholm', 'Örjan Ek'],
    towns: [['Göteborg', '411 03'], ['Stockholm', '111 29'], ['Visby', '621 57']],
    streets: ['Skeppsbron 4', 'Strandgatan 19', 'Fiolvägen 6'],
    phones: ['08-465 004 ##', '+46 31 390 06 ##', '+46 70 174 06 ##'],
  },
  {
    code: 'NO', country: 'Norway', language: 'nb',
    people: ['Bjørn Sæther', 'Ingrid Ødegård', 'Kåre Fløysand', 'Solveig Hjørnevik'],
    towns: [['Bergen', '5003'], ['Tromsø', '9008']],
    streets: ['Bryggen 11', 'Felevegen 3'],
    phones: ['+47 55 55 0# ##', '+47 40 55 50 ##'],
  },
  {
    code: 'NL', country: 'Netherlands', language: 'nl',
    people: ['Piet van Dijk', 'Anneke van der Berg', 'Floris de Wit', 'Marijke ten Hove', 'Joost op den Kamp', 'Saskia ’t Hart'],
    towns: [['Delft', '2611 AB'], ['Groningen', '9712 CP']],
    streets: ['Oude Gracht 21', 'Snaarstraat 4'],
    phones: ['+31 15 555 0###', '+31 6 55 55 0###'],
  },
  {
    code: 'ES', country: 'Spain', language: 'es', doubleSurname: true,
    people: ['María Pérez Ramos', 'José Ortega y Salinas', 'Íñigo Arrizabalaga Núñez', 'Lucía de la Cruz Peña', 'Begoña Ibáñez Soler', 'Joaquín Muñiz'],
    towns: [['Cádiz', '11005'], ['Bilbao', '48005'], ['Valencia', '46003']],
    streets: ['Calle del Puerto 9', 'Plaza de la Viola 1'],
    phones: ['+34 956 555 ###', '+34 655 550 ###'],
  },
  {
    code: 'PT', country: 'Portugal', language: 'pt',
    people: ['Pilar Barros', 'João Conceição', 'Inês Magalhães', 'Zé Antunes Neto'],
    towns: [['Porto', '4050-253'], ['Lisboa', '1100-148']],
    streets: ['Rua das Guitarras 40', 'Cais da Ribeira 7'],
    phones: ['+351 22 555 0###', '+351 91 555 0###'],
  },
  {
    code: 'HU', country: 'Hungary', language: 'hu', familyFirst: true,
    people: ['Kovács János', 'Szűcs Ágnes', 'Dr. Hegedűs Béla', 'Ördög Nóra'],
    towns: [['Budapest', '1052'], ['Győr', '9021']],
    streets: ['Hegedű utca 3', 'Duna sor 18'],
    phones: ['+36 1 555 0###', '+36 20 555 0###'],
  },
  {
    code: 'CZ', country: 'Czechia', language: 'cs',
    people: ['Jiří Dvořáček', 'Ludmila Říhová', 'Šimon Žižka', 'Kateřina Hůlková'],
    towns: [['Brno', '602 00'], ['Praha', '110 00']],
    streets: ['Varhanní 5', 'Nábřežní 12'],
    phones: ['+420 555 550 ###'],
  },
  {
    code: 'TR', country: 'Türkiye', language: 'tr',
    people: ['Işıl Gökçe', 'Çağrı Yıldırım', 'Şebnem Öztürk'],
    towns: [['İzmir', '35250'], ['İstanbul', '34425']],
    streets: ['Kordon Caddesi 8', 'Ud Sokağı 3'],
    phones: ['+90 232 555 0# ##', '+90 555 555 0# ##'],
  },
  {
    code: 'UA', country: 'Ukraine', language: 'uk',
    people: ['Олена Ковальчук', 'Тарас Їжакевич', 'Соломія Ґудзь'],
    towns: [['Одеса', '65026'], ['Львів', '79008']],
    streets: ['вул. Приморська 4', 'вул. Скрипкова 11'],
    phones: ['+380 48 555 0# ##', '+380 67 555 0# ##'],
  },
  {
    code: 'GR', country: 'Greece', language: 'el',
    people: ['Ελένη Παπαδάκη', 'Νίκος Θαλασσινός', 'Άννα Βρεττού'],
    towns: [['Χανιά', '731 31'], ['Πειραιάς', '185 37']],
    streets: ['Ακτή Λύρας 6', 'Οδός Ορφέως 2'],
    phones: ['+30 2821 0555##', '+30 690 555 0###'],
  },
  {
    code: 'IL', country: 'Israel', language: 'he',
    people: ['נועה ברקאי', 'איתן שחר', 'תמר אלון'],
    towns: [['חיפה', '3303142'], ['יפו', '6803001']],
    streets: ['רחוב הנמל 5', 'רחוב הכינור 9'],
    phones: ['+972 4 555 0###', '+972 55 555 0###'],
  },
  {
    code: 'EG', country: 'Egypt', language: 'ar',
    people: ['ليلى حداد', 'سامي النجار', 'مريم العطار'],
    towns: [['الإسكندرية', '21500'], ['القاهرة', '11511']],
    streets: ['شارع العود ٧', 'كورنيش البحر ١٢'],
    phones: ['+20 3 555 0###', '+20 100 555 0###'],
  },
  {
    code: 'JP', country: 'Japan', language: 'ja',
    people: ['田中 陽子', '佐々木 健', '山口 さくら', '藤原 直人', '小川 美音'],
    towns: [['横浜市', '231-0023'], ['神戸市', '650-0042']],
    streets: ['港町1-2-3', '弦楽通り4-5'],
    phones: ['+81 45-555-0###', '+81 90-5550-0###'],
  },
  {
    code: 'CN', country: 'China', language: 'zh',
    people: ['王小明', '李雪梅', '欧阳文', '张海'],
    towns: [['青岛市', '266001'], ['上海市', '200001']],
    streets: ['海港路12号', '琴岛街8号'],
    phones: ['+86 532 5550 0###', '+86 135 5550 0###'],
  },
  {
    code: 'KR', country: 'South Korea', language: 'ko',
    people: ['김민준', '이서연', '남궁민수'],
    towns: [['부산', '48944'], ['서울', '04524']],
    streets: ['항구로 15', '가야금길 7'],
    phones: ['+82 51-555-0###', '+82 10-5550-0###'],
  },
  {
    code: 'IN', country: 'India', language: 'hi',
    people: ['अनीता शर्मा', 'Ravi Chandrasekaran', 'Meenakshi Iyer', 'Arjun Deshpande'],
    towns: [['Kochi', '682001'], ['Pune', '411001']],
    streets: ['14 Harbour View Road', '7 Veena Lane'],
    phones: ['+91 484 555 0###', '+91 98555 50###'],
  },
  {
    code: 'TH', country: 'Thailand', language: 'th',
    people: ['สมชาย ใจดี', 'กัลยา วงศ์ทอง'],
    towns: [['ภูเก็ต', '83000']],
    streets: ['12 ถนนท่าเรือ'],
    phones: ['+66 76 555 0##'],
  },
  {
    code: 'US', country: 'United States', language: 'en',
    people: ['Delphine Ames', 'Caleb Whitlock III', 'Rosario Quintanilla', 'June Okonkwo', 'Walt Dempsey Jr.', 'Priya Natarajan'],
    towns: [['Portland', '97209'], ['Savannah', '31401'], ['Brooklyn', '11201']],
    streets: ['118 Wharf Street', '40 Cello Court', '9 Pier Avenue'],
    phones: ['+1 212-555-01##', '+1 (503) 555-01##'],
  },
  {
    code: 'BR', country: 'Brazil', language: 'pt',
    people: ['Thaís Gonçalves', 'Caetano Brandão', 'Luzia dos Anjos'],
    towns: [['Salvador', '40020-000'], ['Recife', '50030-230']],
    streets: ['Rua do Cavaquinho 22', 'Avenida do Porto 5'],
    phones: ['+55 71 5550-0###', '+55 81 95550-0###'],
  },
  {
    code: 'NG', country: 'Nigeria', language: 'en',
    people: ['Chidi Okafor', 'Folasade Adébáyò', 'Ngozi Eze'],
    towns: [['Lagos', '101241'], ['Calabar', '540221']],
    streets: ['6 Marina Close', '19 Talking Drum Street'],
    phones: ['+234 1 555 0###', '+234 803 555 0###'],
  },
  {
    code: 'AU', country: 'Australia', language: 'en',
    people: ['Matilda Rowe', 'Jarrah Collins', 'Siobhan Keane'],
    towns: [['Fremantle', '6160'], ['Hobart', '7000']],
    streets: ['3 Fishing Boat Harbour', '77 Salamanca Rise'],
    phones: ['(08) 5550 ####', '+61 3 7010 ####', '0491 570 ###'],
  },
];

/** What people of the demo do, with the tags that follow from it. */
export const ROLES: readonly (readonly [title: string, tag: string])[] = [
  ['Cello', 'players'], ['First violin', 'players'], ['Second violin', 'players'], ['Viola', 'players'], ['Flute', 'players'],
  ['Oboe', 'players'], ['Clarinet', 'players'], ['Bassoon', 'players'], ['Horn', 'players'], ['Piano', 'players'],
  ['Harpsichord', 'players'], ['Mezzo-soprano', 'players'], ['Tenor', 'players'], ['Double bass', 'players'],
  ['Agent', 'agents'], ['Luthier', 'makers'], ['Bow maker', 'makers'], ['Piano tuner', 'makers'], ['Organ builder', 'makers'],
  ['Patron', 'patrons'], ['Patron', 'patrons'], ['Critic', 'press'], ['Radio producer', 'press'], ['Photographer', 'press'],
  ['Printer', 'suppliers'], ['Piano haulier', 'suppliers'], ['Caterer', 'suppliers'], ['Hotel manager', 'suppliers'],
  ['Harbour master', 'town'], ['Councillor', 'town'], ['Verger', 'halls'], ['Front of house', 'halls'], ['Volunteer', 'volunteers'], ['Volunteer', 'volunteers'],
];

/** The organisations of the demo: name, what they are, town, tag. */
export const ORGANISATIONS: readonly (readonly [name: string, what: string, town: string, tag: string])[] = [
  ['Brine & Bellows', 'Organ builders', 'Wexmere', 'makers'],
  ['Brzeg & Sons', 'Piano tuners', 'Gdynia', 'makers'],
  ['Barros & Filha', 'Artists’ agency', 'Porto', 'agents'],
  ['Lindqvist Quartet', 'String quartet', 'Göteborg', 'players'],
  ['Tidewater Octet', 'Wind octet', 'Wexmere', 'players'],
  ['Harbour Quay Press', 'Printers', 'Wexmere', 'suppliers'],
  ['Minster Close Hotel', 'Hotel', 'Wexmere', 'suppliers'],
  ['The Net Loft', 'Guest house', 'Wexmere', 'suppliers'],
  ['Wexmere Town Council', 'Culture office', 'Wexmere', 'town'],
  ['Wexmere Harbour Office', 'Harbour office', 'Wexmere', 'town'],
  ['St Brannoc’s Church', 'Church', 'Wexmere', 'halls'],
  ['The Old Sail Hall', 'Concert hall', 'Wexmere', 'halls'],
  ['Wexmere Gazette', 'Newspaper', 'Wexmere', 'press'],
  ['Radio Estuary', 'Radio station', 'Wexmere', 'press'],
  ['Grand & Upright Removals', 'Piano hauliers', 'Bristol', 'suppliers'],
  ['Marchetti Liuteria', 'Luthiers', 'Cremona', 'makers'],
  ['Achterberg Konzertbüro', 'Artists’ agency', 'Hamburg', 'agents'],
  ['Orgelbau Löwenau', 'Organ builders', 'Leipzig', 'makers'],
  ['Agence Roussillon', 'Artists’ agency', 'Paris', 'agents'],
  ['Salinas Ensemble', 'Early music', 'Cádiz', 'players'],
  ['Kwintet Żak', 'Wind quintet', 'Kraków', 'players'],
  ['横浜弦楽社', 'String makers', '横浜市', 'makers'],
  ['Friends of the Festival', 'Supporters', 'Wexmere', 'patrons'],
  ['Ferris & Daughters Catering', 'Caterers', 'Wexmere', 'suppliers'],
  ['Penhale Trust', 'Foundation', 'London', 'patrons'],
  ['Balfour-Dunn Foundation', 'Foundation', 'Leith', 'patrons'],
  ['Quay Street Surgery', 'Doctors', 'Wexmere', 'neighbours'],
  ['Ropewalk Primary School', 'School', 'Wexmere', 'neighbours'],
  ['Wexmere Ferry Company', 'Ferry', 'Wexmere', 'town'],
  ['Lamplight Recordings', 'Label', 'London', 'press'],
  ['Estuary Strings', 'Instrument hire', 'Wexmere', 'suppliers'],
];

/** Lines for notes. */
export const NOTES: readonly string[] = [
  'Prefers to be called before noon.', 'Allergic to shellfish; remember for the supper.', 'Met at the opening of the Old Sail Hall.',
  'Plays a copy of a 1710 instrument and is shy about it.', 'Brings two dogs.', 'Asked for a quiet room, away from the harbour.',
  'Knows everybody at the radio station.', 'Sails on Sundays; no calls then.', 'Would lend the small harpsichord again.',
  'Wants the programme in large print.', 'Paid for the new stage lights.', 'Speaks French and German with the artists.',
];
