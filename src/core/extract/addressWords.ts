// Words in addresses. Common practice; written from memory.

/** A part of a line that names a street, a square or a house. */
export const STREET =
  /(?:stra(?:ß|ss)e|str\.|gasse|weg|allee|platz|ufer|damm|ring|chaussee|markt|hof|steig|deich|kai|gatan|gata|vägen|väg|gränd|torget|straat|laan|plein|kade|gracht|dijk|singel|steeg|dreef|baan|vej|gade|veien|katu|utca)(?=[\s,.]|$)|(?:^|[\s,])(?:am|an der|im|auf der|zum|zur|via|viale|vicolo|piazza|piazzale|corso|largo|calle|c\/|avda?\.?|avenida|av\.?|paseo|pº|plaza|pza\.?|rambla|ronda|camino|carrer|rue|boulevard|bd\.?|blvd\.?|quai|chemin|impasse|allées?|place|cours|route|passage|ul\.|ulica|al\.|aleja|aleje|pl\.|os\.|rynek|rua|r\.|travessa|praça|largo|estrada|street|st\.?|road|rd\.?|lane|ln\.?|avenue|ave\.?|drive|dr\.?|square|sq\.?|court|ct\.?|close|crescent|terrace|place|way|wharf|quay|row|gardens|grove|hill|mews|parade|walk|yard|broadway|highway)(?=[\s,.]|$)/iu;

/** A box at the post office, in front of its number. */
export const POST_BOX =
  /^(?:p\.? ?o\.? ?box|postfach|postbus|boîte postale|b\.? ?p\.?|apartado(?: de correos)?|apdo\.?|casella postale|c\.? ?p\.?|skrytka(?: pocztowa)?|skr\. poczt\.|caixa postal|box|私書箱)\s*\d/iu;

/** Part of a house: a floor, a flat, a wing. */
export const BUILDING =
  /(?:^|\s)(?:\d+(?:st|nd|rd|th)? floor|floor \d+|level \d+|suite|unit|apt\.?|flat|room|building|\d+\.? ?(?:og|stock|etage)|etage|haus|gebäude|hinterhaus|aufgang|bâtiment|bât\.?|étage|escalier|appartement|edificio|edif\.?|piso|planta|puerta|scala|interno|piano|lok\.|m\.|piętro|bloco|andar|esq\.?|dto\.?|våning|vån|trappor|tr\.?|c\/o|階|号室|ビル)(?=[\s.,\d]|$)|\d+階|ビル|^sala \d|^(?!.*\d).*\s(?:house|rectory|vicarage|manse|lodge|cottage|chambers|buildings?|tower|centre)$/iu;

/** What stands before an address and is no part of it; the first group: it is for letters. */
export const ADDRESS_LABEL =
  /^(?:(postal address|postal|postanschrift|post address|adresse postale|dirección postal|indirizzo postale|postadres|postadress|adres korespondencyjny|morada postal|mailing address)|address|adresse|anschrift|hausanschrift|besucheradresse|visiting address|visit us|office|dirección|domicilio|indirizzo|sede(?: legale| operativa)?|adres|bezoekadres|adres siedziby|siedziba|morada|endereço|adress|besöksadress|find us(?: at)?|siège(?: social)?|add|addr|a|住所|所在地|地址|〒)\s*[:：.]\s*/iu;

/** Regions of Britain and Ireland are written with their postcode or before it. */
export const COUNTY = /^(?:co\.? |county )/i;
