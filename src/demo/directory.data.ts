/** The directory of the demo's house as the table it was taken in from: whom everybody who works there may need. */
export const DIRECTORY_TABLE = [
  'Name,Title,Company,Department,E-mail,Phone,Town',
  'Zora Quast,Luthier,Quay Strings,,zora@quay-strings.example,+44 1632 960110,Exeter',
  'Ilmari Salo,Recording engineer,Salo Recording,,ilmari.salo@example.org,+358 9 4245 0110,Turku',
  'Wendell Oakes,Duty manager,Old Sail Hall,Front of house,wendell@sail-hall.example,+44 1632 960111,Wexmere',
  'Benedetta Lusi,Stage manager,Old Sail Hall,Stage,benedetta@sail-hall.example,+44 1632 960112,Wexmere',
  'Kofi Asante-Blay,Head of lighting,Old Sail Hall,Stage,kofi@sail-hall.example,+44 1632 960113,Wexmere',
  'Marit Hovden,Box office,Wexmere Festival,Tickets,marit@wexmere-festival.example,+44 1632 960114,Wexmere',
  'Duncan Ferrie,Accounts,Wexmere Festival,Office,duncan@wexmere-festival.example,+44 1632 960115,Wexmere',
  'Ayumi Kanda,Artist liaison,Wexmere Festival,Artists,ayumi@wexmere-festival.example,+44 1632 960116,Wexmere',
  'Printworks,,Printworks,,orders@printworks.example,+44 1632 960117,Wexmere',
  'Bakery on the Quay,,Bakery on the Quay,,orders@quaybakery.example,+44 1632 960118,Wexmere',
  'Harbour Taxis,,Harbour Taxis,,cars@harbour-taxis.example,+44 1632 960119,Wexmere',
  'Piano Works,,Piano Works,,tuning@piano-works.example,+44 1632 960120,Exeter',
].join('\n');
