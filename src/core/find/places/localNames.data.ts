import { placeKey } from './placeKey';

/**
 * Names of larger towns in their own language, where the gazetteer has the English one. From memory; common knowledge.
 * A line: the gazetteer's name, then what else it is called.
 */
const LINES = `
Munich: München, Muenchen
Köln: Cologne, Koeln
Nürnberg: Nuremberg, Nuernberg
Hannover: Hanover
Vienna: Wien
Prague: Praha
Rome: Roma
Milan: Milano
Florence: Firenze
Venice: Venezia
Naples: Napoli
Turin: Torino
Genoa: Genova
Padova: Padua
Mantova: Mantua
Lisbon: Lisboa
Porto: Oporto
Sevilla: Seville
Warsaw: Warszawa
Kraków: Cracow, Krakau
Gdańsk: Danzig
Wrocław: Breslau
Copenhagen: København, Kobenhavn
Göteborg: Gothenburg
Helsinki: Helsingfors
Turku: Åbo
Brussels: Bruxelles, Brussel
Antwerpen: Antwerp, Anvers
Gent: Ghent, Gand
Brugge: Bruges
The Hague: Den Haag, 's-Gravenhage
Genève: Geneva, Genf
Zürich: Zurich
Basel: Basle, Bâle
Bern: Berne
Luzern: Lucerne
Strasbourg: Straßburg
Lyon: Lyons
Marseille: Marseilles
Athens: Αθήνα, Athina
Thessaloníki: Θεσσαλονίκη, Salonika
Bucharest: București
Belgrade: Beograd, Београд
Sofia: София
Moscow: Moskva, Москва
Saint Petersburg: Санкт-Петербург, St Petersburg
Kyiv: Kiev, Київ, Киев
Lviv: Львів, Lwów
Odessa: Одеса, Odesa
Minsk: Мінск, Минск
Tbilisi: თბილისი
Yerevan: Երևան
Istanbul: İstanbul
İzmir: Izmir
Jerusalem: ירושלים
Tel Aviv: תל אביב, תל אביב-יפו
Haifa: חיפה
Cairo: القاهرة
Alexandria: الإسكندرية
Beirut: بيروت
Amman: عمان
Damascus: دمشق
Baghdad: بغداد
Dubai: دبي
Casablanca: الدار البيضاء
Tunis: تونس
Tehran: تهران, Teheran
Delhi: दिल्ली
New Delhi: नई दिल्ली
Mumbai: मुंबई, Bombay
Kolkata: কলকাতা, Calcutta
Chennai: சென்னை, Madras
Bengaluru: ಬೆಂಗಳೂರು, Bangalore
Bangkok: กรุงเทพ, กรุงเทพมหานคร
Hanoi: Hà Nội
Ho Chi Minh City: Thành phố Hồ Chí Minh, Saigon
Tokyo: 東京, 東京都
Osaka: 大阪
Kyoto: 京都
Yokohama: 横浜
Nagoya: 名古屋
Sapporo: 札幌
Kobe: 神戸
Beijing: 北京, Peking
Shanghai: 上海
Guangzhou: 广州, 廣州
Shenzhen: 深圳
Nanjing: 南京
Hangzhou: 杭州
Taipei: 台北, 臺北
Hong Kong: 香港
Seoul: 서울, 서울특별시
Busan: 부산, 부산광역시
Incheon: 인천, 인천광역시
Mexico City: Ciudad de México
Havana: La Habana
Panamá: Panama City
São Paulo: Sao Paulo
`;

/** The gazetteer's name by another one, both without marks. */
export const LOCAL_NAMES: ReadonlyMap<string, string> = new Map(
  LINES.trim()
    .split('\n')
    .flatMap((line) => {
      const [name = '', others = ''] = line.split(': ');
      return others.split(', ').map((other) => [placeKey(other), name] as const);
    }),
);
