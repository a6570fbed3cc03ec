// Invented for the demo: the director's own address, what mail is about, and people who have no card.
/** The director of the festival, whose book the demo is. */
export const OWN_NAME = 'Wexmere Chamber Festival';
/** Their address. */
export const OWN_ADDRESS = 'director@wexmere-festival.example';

/** What mail and appointments are about. */
export const SUBJECTS: readonly string[] = [
  'Rehearsal times',
  'The fee and the contract',
  'Programme note, second draft',
  'Rooms for the opening week',
  'Tuning on the first day',
  'Déjeuner with the patrons',
  'Photographs of the hall',
  'Parts for the octet',
  'Ferry and the double basses',
  'Lights over the stage',
  'Interview before the opening',
  'Supper after the matinée',
];

/** Written to, and without a card: name in the header, address, messages. */
export const STRANGERS: readonly (readonly [name: string, address: string, count: number])[] = [
  ['Pilar Ondarra', 'pilar.ondarra@ondarra-strings.example', 6],
  ['Quennell, Jory', 'j.quennell@wexmere-ferry.example', 5],
  ['Łucja Borowiec', 'lucja.borowiec@example.org', 4],
  ['', 'boxoffice@oldsailhall.example', 4],
  ['Tamsin Orrery', 'tamsin@orrery-lights.example', 3],
  ['Dr Henning Aasland', 'henning.aasland@example.org', 3],
  ['三浦 陽子', 'yoko.miura@example.org', 2],
  ['Bakery on the Quay', 'orders@quaybakery.example', 2],
  ['Ffion Cadwal', 'ffion.cadwal@example.org', 1],
  ['', 'noreply@printworks.example', 1],
];

/** What people without a card have written to the director. */
export const STRANGERS_WRITE: readonly {
  readonly name: string;
  readonly address: string;
  readonly subject: string;
  readonly text: readonly string[];
}[] = [
  {
    name: 'Ffion Cadwal',
    address: 'ffion.cadwal@saltmarsh-pianos.example',
    subject: 'The small grand for the chapel',
    text: [
      'Good morning,',
      '',
      'we could bring the small grand on the Thursday, and tune it on the Friday before ten.',
      '',
      'Kind regards,',
      '',
      'Ffion Cadwal',
      'Workshop Manager',
      'Saltmarsh Pianos Ltd',
      '14 Ropewalk Lane, Exeter EX2 4AB',
      'Tel. +44 1632 960 418',
      'Mobile 07700 900 733',
      'www.saltmarsh-pianos.example',
    ],
  },
  {
    name: 'Henrike Voss-Amundsen',
    address: 'h.voss@nordlys-agentur.example',
    subject: 'A quartet for the last weekend?',
    text: [
      'Dear festival,',
      '',
      'the Nordlys Quartet is free on the last weekend. May I send you a recording?',
      '',
      'Best wishes',
      '',
      'Henrike Voss-Amundsen',
      'Artists and Tours',
      'Nordlys Agentur',
      'Tel. +49 30 23125 042',
    ],
  },
];
