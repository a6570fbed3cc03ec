// Given names, surnames and how people are reached in eighteen naming cultures, to make up people of. From memory; what is
// rare is put together of stems and endings. A name stands as it is written there, then, after |, in Latin letters in the
// ways in which it is met.

/** How people of one culture are named, and reached. Lists are in one string, with spaces between their words. */
export interface Culture {
  readonly country: string;
  /** The calling code, the national prefix, and patterns of a mobile and another number without it; # is a digit. */
  readonly numbers: readonly [calling: string, trunk: string, mobile: string, land: string];
  readonly isSurnameFirst?: true;
  readonly women: string;
  readonly men: string;
  readonly surnames: string;
  readonly stems: string;
  readonly endings: string;
  /** What a woman's surname has for a man's ending, the longest first. */
  readonly gendered?: readonly (readonly [man: string, woman: string])[];
  /** Short forms: name=short,short name=short. */
  readonly short?: string;
  readonly towns: string;
  readonly streets: string;
  /** Two surnames, or more given names, are usual. */
  readonly hasTwoSurnames?: true;
}

export const CULTURES: readonly Culture[] = [
  {
    country: 'GB',
    numbers: ['44', '0', '7### ### ###', '1632 ### ###'],
    women:
      'Elizabeth Margaret Catherine Emma Alice Harriet Joan Susan Helen Ruth Judith Victoria Rebecca Abigail Lucy Dorothy',
    men: 'William Robert James Thomas Edward Richard Michael Daniel Andrew Anthony Christopher Samuel Joseph Nicholas Peter Henry',
    surnames:
      'Smith Jones Taylor Brown Wilson Davies Evans Walker Wright Clark Hall Green Baker Cooper Ward Turner',
    stems:
      'Ash Black Brad Charl Dun Elling Ferr Gold Hather Kirk Lang Mar Nether Old Pen Rad Sel Thorn Under Wex Win Yar',
    endings: 'ton ham ley worth well field brook sby more combe ridge wick',
    short:
      'Elizabeth=Liz,Beth,Betty Margaret=Maggie,Peggy,Meg Catherine=Kate,Cathy Susan=Sue Victoria=Vicky Rebecca=Becky William=Bill,Will Robert=Bob,Rob James=Jim,Jamie Thomas=Tom Edward=Ted,Ed Richard=Dick,Rick Michael=Mike Daniel=Dan Andrew=Andy Anthony=Tony Christopher=Chris Samuel=Sam Joseph=Joe Nicholas=Nick Henry=Harry',
    towns: 'Wexmere Ellingham Thornby Radcombe Kirkwell Netherwick',
    streets: 'High_Street Church_Lane Mill_Road Station_Road Quay_Street Orchard_Close',
  },
  {
    country: 'US',
    numbers: ['1', '', '4## 555 ####', '2## 555 ####'],
    women:
      'Jennifer Jessica Patricia Deborah Kimberly Barbara Cynthia Pamela Samantha Katherine Linda Melissa Theresa Angela',
    men: 'Benjamin Gregory Jeffrey Kenneth Lawrence Matthew Nathaniel Patrick Raymond Stephen Theodore Timothy Walter Zachary',
    surnames:
      'Johnson Williams Miller Anderson Jackson Thompson Harris Robinson Lewis Young Allen King Scott Hill',
    stems:
      'Adler Beck Calla Dono Eber Fitz Grim Holl Ing Kess Lan Mc_Al Oak Pres Quin Rosen Stan Tal Van Whit',
    endings: 'man ster field berg ner son wood land away kins',
    short:
      'Jennifer=Jen,Jenny Jessica=Jess Patricia=Pat,Patty Deborah=Deb,Debbie Kimberly=Kim Barbara=Barb Pamela=Pam Samantha=Sam Katherine=Katie,Kathy Benjamin=Ben Gregory=Greg Jeffrey=Jeff Kenneth=Ken Lawrence=Larry Matthew=Matt Nathaniel=Nate Patrick=Pat Raymond=Ray Stephen=Steve Theodore=Ted,Theo Timothy=Tim Walter=Walt Zachary=Zach',
    towns: 'Fairhaven Millbrook Cedar_Falls Stanton Oakridge Prescott_Bay',
    streets: 'Main_St Oak_Ave Maple_Dr 2nd_Ave Washington_Blvd Sunset_Ct',
  },
  {
    country: 'DE',
    numbers: ['49', '0', '151 #######', '30 #######'],
    women:
      'Käthe Brigitte Ursula Jutta Sabine Gisela Heike Ingrid Annegret Dörte Friederike Magdalena Ulrike Renate',
    men: 'Jürgen Günther Wolfgang Matthias Joachim Rüdiger Bernd Hans-Peter Karl-Heinz Friedrich Johannes Sebastian Ulrich Detlef',
    surnames:
      'Müller Schmidt Schneider Fischer Weber Meyer Wagner Becker Schulz Hoffmann Schäfer Koch Bauer Richter',
    stems: 'Acht Brück Dorn Eich Feld Grün Hell Kirch Löw Mühl Nieder Ober Rosen Stein Weiß Zimmer',
    endings: 'mann berger meier hofer bach ner stein brecht haus kamp',
    short:
      'Friederike=Rike Magdalena=Lena Sebastian=Basti Matthias=Matze Johannes=Hannes Friedrich=Fritz Ulrich=Uli Joachim=Achim',
    towns: 'Neuhafen Oberau Lindental Köthenburg Sankt_Ilgen Wiesbrück',
    streets: 'Hauptstraße Bahnhofstraße Gartenweg Lindenallee Am_Markt Schillerstraße',
  },
  {
    country: 'FR',
    numbers: ['33', '0', '6 ## ## ## ##', '1 ## ## ## ##'],
    women:
      'Hélène Françoise Geneviève Anne-Marie Cécile Élodie Mathilde Sylvie Véronique Amélie Noémie Brigitte Solène',
    men: 'François Jean-Pierre Étienne Frédéric Gérard Rémi Thierry Benoît Aurélien Jérôme Philippe Guillaume Mathieu',
    surnames: 'Martin Bernard Dubois Durand Lefèvre Moreau Laurent Simon Michel Garcia Roux Fournier Girard',
    stems: 'Beau Chante Delà Font Grand Haute Lan Mont Péri Roche Saint_ Tour Val Ville',
    endings: 'ier net dère bert mard clair vigne reuil lain court',
    short: 'Frédéric=Fred Benoît=Ben Geneviève=Ginette Mathilde=Mathou Philippe=Phil Guillaume=Guy',
    towns: 'Saint-Aubrac Montreval Villeclair Port-Lannec Bellefontaine Hautrive',
    streets: 'rue_de_la_Paix avenue_Foch place_du_Marché rue_des_Lilas boulevard_Pasteur impasse_du_Moulin',
  },
  {
    country: 'ES',
    numbers: ['34', '', '6## ### ###', '91# ### ###'],
    women:
      'María_José Carmen Dolores Concepción Begoña Lucía Inés Ángeles Pilar Rocío Guadalupe Mercedes Ximena',
    men: 'José_Luis Juan_Carlos Francisco Javier Ignacio Íñigo Ramón Andrés Óscar Manuel Álvaro Vicente Rubén',
    surnames:
      'García Fernández González Rodríguez López Martínez Sánchez Pérez Gómez Jiménez Ruiz Díaz Muñoz',
    stems: 'Alta Barri Carba Echeva Fuente Goiko Ibar Lasa Mendi Olaza Peña Quiro Uri Zuma',
    endings: 'rria les llo guez rrieta ndo bal tegui rosa verde',
    short:
      'Francisco=Paco,Curro Dolores=Lola Concepción=Concha José_Luis=Pepe Ignacio=Nacho Mercedes=Merche Guadalupe=Lupe Manuel=Manolo',
    towns: 'Valdemora Puerto_Alba Castrillo Benaluz Ribera_del_Sol Peñaflor',
    streets: 'calle_Mayor avenida_de_la_Paz plaza_Nueva calle_del_Río paseo_Marítimo calle_San_Juan',
    hasTwoSurnames: true,
  },
  {
    country: 'PT',
    numbers: ['351', '', '91# ### ###', '21# ### ###'],
    women: 'Conceição Inês Beatriz Graça Fátima Mafalda Leonor Madalena Catarina Teresa Luísa Rosário',
    men: 'João António Gonçalo Tomás Duarte Vasco Joaquim Sebastião Nuno Rui Luís Estêvão',
    surnames:
      'Silva Santos Ferreira Pereira Oliveira Costa Rodrigues Martins Sousa Gonçalves Carvalho Almeida',
    stems: 'Alva Brita Carva Damas Figue Gui Lou Mou Negrei Pache Quei Vascon',
    endings: 'renço celos deiros nhal ceno reira telo mães roz tinho',
    short: 'João=Joca António=Tó,Toni Beatriz=Bia Catarina=Cati Sebastião=Tião Madalena=Lena Fátima=Fati',
    towns: 'Vila_Serena Porto_Novo Montalvão Ribeirinha Alcaria Penamar',
    streets: 'rua_Direita avenida_da_Liberdade largo_da_Sé travessa_do_Cais rua_do_Sol rua_Nova',
    hasTwoSurnames: true,
  },
  {
    country: 'IT',
    numbers: ['39', '', '34# #######', '06 ########'],
    women:
      'Chiara Giulia Francesca Alessandra Maria_Grazia Raffaella Concetta Elisabetta Giuseppina Lucrezia Nicoletta',
    men: 'Giuseppe Giovanni Alessandro Gianluca Pierpaolo Niccolò Raffaele Domenico Salvatore Vincenzo Ferdinando',
    surnames: 'Rossi Russo Ferrari Esposito Bianchi Romano Colombo Ricci Marino Greco Bruno Gallo',
    stems: 'Acqua Bon Cala Del_ Faran Gua Lomb Monte Nann Pell San Tama Vesp Zuc',
    endings: 'rini etti oni ucci dori caro aldi netti ello verdi',
    short:
      'Giuseppe=Beppe,Peppe Giovanni=Gianni Alessandro=Sandro Alessandra=Sandra Francesca=Franca Elisabetta=Betta Domenico=Mimmo Vincenzo=Enzo Ferdinando=Nando',
    towns: 'Borgolieto Castelvero Portochiaro Montesecco Villalba Acquadolce',
    streets: 'via_Roma piazza_Garibaldi via_Dante corso_Italia via_dei_Mille vicolo_Stretto',
  },
  {
    country: 'NL',
    numbers: ['31', '0', '6 ########', '20 ### ####'],
    women: 'Wilhelmina Geertruida Marijke Anneke Sanne Femke Liesbeth Maaike Roos Tineke Yvonne Nienke',
    men: 'Cornelis Johannes Hendrik Gerrit Willem Maarten Sjoerd Pieter Joost Ruben Diederik Koen',
    surnames: 'de_Jong Jansen de_Vries van_den_Berg Bakker van_Dijk Visser Smit Meijer de_Boer Mulder Bos',
    stems:
      'van_der_Aa van_Bree Dijk van_den_Eik Groene Hoog ter_Haar Kuip van_Lim Nieuwen Ooster van_der_Wiel',
    endings: 'stra man sma kamp veld horst huis wijk beek meer',
    short:
      'Wilhelmina=Mien,Willy Geertruida=Truus Liesbeth=Lies Cornelis=Kees Johannes=Jan Hendrik=Henk Willem=Wim Pieter=Piet',
    towns: 'Nieuwhaven Oosterwolde Zandmeer Hooghuizen Dijkerk Lindewijk',
    streets: 'Dorpsstraat Kerkstraat Molenweg Hoofdstraat Singel Prinsenlaan',
  },
  {
    country: 'SE',
    numbers: ['46', '0', '70 ### ## ##', '8 ### ### ##'],
    women: 'Ingegärd Åsa Märta Birgitta Gunilla Kerstin Linnéa Elsa Annika Ulla-Britt Sigrid Ebba',
    men: 'Göran Åke Björn Lars-Erik Håkan Sören Torbjörn Mattias Rickard Fredrik Lennart Östen',
    surnames:
      'Andersson Johansson Karlsson Nilsson Eriksson Larsson Olsson Persson Svensson Gustafsson Lindberg Åberg',
    stems: 'Berg Dal Ek Fors Gran Hag Lind Ny Ros Sjö Ström Viker Ås Öst',
    endings: 'kvist ström gren mark lund vall blad stedt qvist dahl',
    short: 'Birgitta=Gitta Fredrik=Figge Lennart=Lelle Torbjörn=Tobbe Rickard=Rille Mattias=Matte',
    towns: 'Björkhamn Sjövik Nystad Granås Lindfors Östervåg',
    streets: 'Storgatan Kungsgatan Skolvägen Kyrkogatan Hamngatan Björkvägen',
  },
  {
    country: 'PL',
    numbers: ['48', '', '6## ### ###', '22 ### ## ##'],
    women: 'Małgorzata Agnieszka Katarzyna Barbara Elżbieta Joanna Zofia Łucja Grażyna Stanisława Aleksandra',
    men: 'Krzysztof Andrzej Tomasz Paweł Stanisław Łukasz Michał Zbigniew Grzegorz Wojciech Aleksander',
    surnames: 'Nowak Kowalski Wiśniewski Wójcik Kowalczyk Kamiński Lewandowski Zieliński Szymański Dąbrowski',
    stems: 'Bąkow Czarnec Dobrow Gajew Jasiń Krasnod Łąc Milew Ostrow Piotrow Radzie Sierp Wrzos Żurow',
    endings: 'ski cki wski owicz iak czyk ński ewicz',
    gendered: [
      ['ski', 'ska'],
      ['cki', 'cka'],
    ],
    short:
      'Małgorzata=Gosia Agnieszka=Aga Katarzyna=Kasia Elżbieta=Ela Joanna=Asia Zofia=Zosia Krzysztof=Krzysiek Tomasz=Tomek Stanisław=Staszek Michał=Michałek Wojciech=Wojtek Aleksandra=Ola',
    towns: 'Nowy_Brzeg Lipowiec Zielonka_Dolna Stary_Port Jasna_Góra_Mała Kamionka',
    streets: 'ul._Długa ul._Polna ul._Kościelna al._Wolności ul._Lipowa ul._Szkolna',
  },
  {
    country: 'CZ',
    numbers: ['420', '', '60# ### ###', '2## ### ###'],
    women: 'Alžběta Božena Jiřina Ludmila Růžena Věra Zdeňka Markéta Šárka Kateřina',
    men: 'Jiří Václav Zdeněk František Ondřej Tomáš Miloš Vojtěch Řehoř Luboš',
    surnames: 'Novák Svoboda Novotný Dvořák Černý Procházka Kučera Veselý Horák Němec',
    stems: 'Běl Chlup Douš Hav Jedl Krat Lub Mar Neč Pos Růž Šim Tom Vel',
    endings: 'ák ek ický oval ánek ný eš ovský ička il',
    gendered: [
      ['ický', 'ická'],
      ['ovský', 'ovská'],
      ['ný', 'ná'],
      ['ý', 'á'],
      ['ička', 'ičková'],
      ['ek', 'ková'],
      ['a', 'ová'],
      ['', 'ová'],
    ],
    short: 'Alžběta=Bětka Kateřina=Katka František=Franta Václav=Vašek Vojtěch=Vojta Jiřina=Jiřka',
    towns: 'Nová_Lhota Kamenice_nad_Vodou Horní_Brod Lipník_Malý Stará_Hora Březina',
    streets: 'Hlavní Školní Na_Návsi Zahradní Nádražní Pod_Lesem',
  },
  {
    country: 'UA',
    numbers: ['380', '0', '50 ### ## ##', '44 ### ## ##'],
    women:
      'Олександра|Oleksandra|Aleksandra Юлія|Yuliia|Julia Наталія|Nataliia|Natalia Тетяна|Tetiana|Tatyana Ольга|Olha|Olga Катерина|Kateryna|Katerina Соломія|Solomiia Ганна|Hanna|Anna',
    men: 'Олексій|Oleksii|Alexey Юрій|Yurii|Yuri Сергій|Serhii|Sergey Володимир|Volodymyr|Vladimir Андрій|Andrii|Andriy Дмитро|Dmytro|Dmitry Микола|Mykola|Nikolay Тарас|Taras',
    surnames:
      'Шевченко|Shevchenko|Schewtschenko Коваленко|Kovalenko|Kowalenko Бондаренко|Bondarenko Ткаченко|Tkachenko Кравченко|Kravchenko|Krawtschenko Мельник|Melnyk|Melnik',
    stems:
      'Чор|Chor|Tschor Гор|Hor|Gor Жил|Zhyl|Jil Під|Pid Руд|Rud Сав|Sav|Saw Тищ|Tyshch|Tischt Яр|Yar|Jar Вас|Vas|Was Дон|Don Зам|Zam|Sam',
    endings: 'енко|enko ук|uk чук|chuk|tschuk ило|ylo ський|skyi|sky овий|ovyi|owy',
    gendered: [
      ['ський', 'ська'],
      ['овий', 'ова'],
      ['skyi', 'ska'],
      ['sky', 'skaya'],
      ['ovyi', 'ova'],
      ['owy', 'owa'],
    ],
    short: 'Олександра=Леся,Саша Катерина=Катя Володимир=Вова Дмитро=Діма Наталія=Наташа Тетяна=Таня',
    towns: 'Нова_Гавань|Nova_Havan Зелений_Гай|Zelenyi_Hai Кам’янка|Kamianka Степове|Stepove',
    streets: 'вул._Садова|vul._Sadova вул._Шкільна|vul._Shkilna просп._Миру|prosp._Myru',
  },
  {
    country: 'GR',
    numbers: ['30', '', '69# ### ####', '21# ### ####'],
    women:
      'Μαρία|Maria Ελένη|Eleni|Helen Κατερίνα|Katerina Βασιλική|Vasiliki|Basiliki Σοφία|Sofia|Sophia Γεωργία|Georgia Αγγελική|Angeliki|Aggeliki',
    men: 'Γιώργος|Giorgos|Yiorgos Δημήτρης|Dimitris|Demetris Νίκος|Nikos Χρήστος|Christos|Hristos Παναγιώτης|Panagiotis|Panayiotis Ιωάννης|Ioannis Ευάγγελος|Evangelos|Evaggelos',
    surnames:
      'Παπαδόπουλος|Papadopoulos Βλάχος|Vlachos|Vlahos Οικονόμου|Oikonomou|Economou Γεωργίου|Georgiou Νικολάου|Nikolaou Αγγελόπουλος|Angelopoulos|Aggelopoulos',
    stems:
      'Καρα|Kara Χατζη|Chatzi|Hatzi Μακρυ|Makry|Macri Ξαν|Xan Σταυρ|Stavr Φραγκ|Frangk|Fragk Τριαντ|Triant Λαμπρ|Lampr|Lambr',
    endings: 'άκης|akis ίδης|idis ιάδης|iadis έλης|elis όπουλος|opoulos ούρας|ouras',
    gendered: [
      ['ος', 'ου'],
      ['ης', 'η'],
      ['ας', 'α'],
      ['os', 'ou'],
      ['is', 'i'],
      ['as', 'a'],
    ],
    towns: 'Νέα_Ακτή|Nea_Akti Παλαιοχώρι|Palaiochori Άνω_Λίμνη|Ano_Limni Κάμπος|Kampos',
    streets: 'Ερμού|Ermou Σταδίου|Stadiou Ακαδημίας|Akadimias Αγίου_Νικολάου|Agiou_Nikolaou',
  },
  {
    country: 'TR',
    numbers: ['90', '0', '532 ### ## ##', '212 ### ## ##'],
    women: 'Ayşe Fatma Zeynep Şebnem Gülşah Çiğdem Özge İpek Tuğba Elif',
    men: 'Mehmet Mustafa Çağlar Ömer İbrahim Şükrü Oğuz Yiğit Hüseyin Barış',
    surnames: 'Yılmaz Kaya Demir Şahin Çelik Yıldız Öztürk Aydın Arslan Doğan',
    stems: 'Ak Bay Can Demir Er Gök Kara Öz Sarı Taş Yal Uğur',
    endings: 'oğlu türk kaya soy men taş bulut can han demir',
    towns: 'Yenikıyı Karataşlı Gölbaşı_Köyü Çınarcık Akçahisar Ilıcak',
    streets: 'Atatürk_Cad. Cumhuriyet_Sok. Çınar_Sok. İnönü_Cad. Lale_Sok.',
  },
  {
    country: 'EG',
    numbers: ['20', '0', '10 #### ####', '2 #### ####'],
    women:
      'فاطمة|Fatima|Fatma عائشة|Aisha|Aicha مريم|Maryam|Mariam نور|Nour|Noor هدى|Huda|Hoda سلمى|Salma ياسمين|Yasmin|Yasmine',
    men: 'محمد|Mohamed|Muhammad|Mohammed أحمد|Ahmed|Ahmad محمود|Mahmoud|Mahmood حسن|Hassan|Hasan خالد|Khaled|Khalid يوسف|Youssef|Yusuf إبراهيم|Ibrahim عمر|Omar|Umar',
    surnames:
      'حسين|Hussein|Husain علي|Ali السيد|El-Sayed|Al-Sayed عبد_الله|Abdullah|Abdallah منصور|Mansour|Mansur سليمان|Soliman|Sulaiman',
    stems: 'الخ|Al-Kh|El-Kh الش|Al-Sh|El-Sh الب|Al-B|El-B بد|Bad غن|Ghan صب|Sab|Sabb حم|Ham جم|Gam|Jam',
    endings: 'طيب|atib|ateeb ري|ri|ry اوي|awi|awy ولي|uli|ouli مان|man|maan راني|rani|rany',
    towns: 'الميناء_الجديد|El_Mina_El_Gedid تل_الورد|Tel_El_Ward القصر|El_Qasr',
    streets: 'شارع_النيل|Nile_St. شارع_الحرية|El_Horreya_St. شارع_الجامعة|University_St.',
  },
  {
    country: 'CN',
    numbers: ['86', '', '138 #### ####', '10 #### ####'],
    isSurnameFirst: true,
    women:
      '秀英|Xiuying 丽|Li 静|Jing 晓燕|Xiaoyan 雨桐|Yutong 婷婷|Tingting 美玲|Meiling 欣怡|Xinyi 佳慧|Jiahui 雪梅|Xuemei 文静|Wenjing',
    men: '伟|Wei 强|Qiang 志强|Zhiqiang 建国|Jianguo 浩然|Haoran 俊杰|Junjie 明辉|Minghui 子轩|Zixuan 天宇|Tianyu 国栋|Guodong 振华|Zhenhua',
    surnames: '王|Wang 李|Li 张|Zhang 刘|Liu 陈|Chen 杨|Yang 黄|Huang 赵|Zhao 吴|Wu 周|Zhou 徐|Xu 孙|Sun',
    stems:
      '欧阳|Ouyang 司马|Sima 上官|Shangguan 诸葛|Zhuge 谢|Xie 邓|Deng 曹|Cao 彭|Peng 曾|Zeng 萧|Xiao 蔡|Cai 潘|Pan 袁|Yuan 于|Yu 董|Dong 余|Yu 苏|Su 叶|Ye 吕|Lü|Lu 魏|Wei 蒋|Jiang 田|Tian 杜|Du 丁|Ding 沈|Shen 姜|Jiang 范|Fan 江|Jiang 傅|Fu 钟|Zhong 卢|Lu 汪|Wang 戴|Dai 崔|Cui 任|Ren 陆|Lu 廖|Liao 姚|Yao 方|Fang 金|Jin 邱|Qiu 夏|Xia 谭|Tan 韦|Wei',
    endings: '',
    towns: '新港|Xingang 青河|Qinghe 云山|Yunshan 白石|Baishi',
    streets: '中山路|Zhongshan_Rd. 人民路|Renmin_Rd. 和平街|Heping_St. 建设路|Jianshe_Rd.',
  },
  {
    country: 'JP',
    numbers: ['81', '0', '90 #### ####', '3 #### ####'],
    isSurnameFirst: true,
    women:
      'さくら|Sakura 陽子|Yōko|Yoko|Youko 恵子|Keiko 美咲|Misaki 裕子|Yūko|Yuko|Yuuko 千尋|Chihiro 結衣|Yui 明美|Akemi 直美|Naomi 由美子|Yumiko',
    men: '翔太|Shōta|Shota|Shouta 健一|Ken’ichi|Kenichi 大輔|Daisuke 浩|Hiroshi 誠|Makoto 直樹|Naoki 拓也|Takuya 雄一|Yūichi|Yuichi 和夫|Kazuo 蓮|Ren',
    surnames:
      '佐藤|Satō|Sato|Satoh 鈴木|Suzuki 高橋|Takahashi 田中|Tanaka 伊藤|Itō|Ito|Itoh 渡辺|Watanabe 山本|Yamamoto 中村|Nakamura 小林|Kobayashi 加藤|Katō|Kato',
    stems:
      '山|Yama 川|Kawa 森|Mori 石|Ishi 松|Matsu 竹|Take 青|Ao 黒|Kuro 西|Nishi 北|Kita 古|Furu 高|Taka 長|Naga 岩|Iwa',
    endings: '田|da 本|moto 村|mura 野|no 島|shima 崎|saki 原|hara 沢|zawa 木|ki 山|yama 井|i',
    towns: '新浜市|Niihama-shi 青葉町|Aoba-cho 松原|Matsubara 北川市|Kitagawa-shi',
    streets: '中央通り|Chuo-dori 本町|Honcho 港町|Minatomachi 桜台|Sakuradai',
  },
  {
    country: 'KR',
    numbers: ['82', '0', '10 #### ####', '2 #### ####'],
    isSurnameFirst: true,
    women:
      '지영|Jiyoung|Ji-young 민지|Minji|Min-ji 서연|Seoyeon|Seo-yeon 수진|Sujin|Soo-jin 은경|Eunkyung|Eun-gyeong 혜진|Hyejin|Hye-jin 유나|Yuna|Yoona 하은|Haeun|Ha-eun',
    men: '민수|Minsu|Min-soo 준호|Junho|Jun-ho 성민|Sungmin|Seong-min 영호|Youngho|Yeong-ho 지훈|Jihoon|Ji-hun 동현|Donghyun|Dong-hyeon 태우|Taewoo|Tae-u 상철|Sangchul|Sang-cheol',
    surnames:
      '김|Kim|Gim 이|Lee|Yi 박|Park|Pak|Bak 최|Choi|Choe 정|Jung|Jeong|Chung 강|Kang|Gang 조|Cho|Jo 윤|Yoon|Yun 장|Jang|Chang 임|Lim|Im',
    stems:
      '황보|Hwangbo 남궁|Namgung 독고|Dokgo 제갈|Jegal 선우|Sunwoo|Seonu 한|Han 오|Oh|O 서|Seo|Suh 신|Shin|Sin 권|Kwon|Gwon 안|Ahn|An 송|Song 류|Ryu|Yu 홍|Hong 전|Jeon|Jun 고|Ko|Go 문|Moon|Mun 손|Son 양|Yang 배|Bae 백|Baek|Paik 허|Heo|Hur 남|Nam 심|Shim|Sim 노|Noh|No 하|Ha 곽|Kwak|Gwak 성|Sung|Seong 차|Cha 주|Joo|Ju 우|Woo|U 구|Koo|Gu 민|Min 나|Na',
    endings: '',
    towns: '새항|Saehang 청산|Cheongsan 은강|Eungang 백암|Baegam',
    streets: '중앙로|Jungang-ro 해안길|Haean-gil 학교로|Hakgyo-ro 시장길|Sijang-gil',
  },
  {
    country: 'VN',
    numbers: ['84', '0', '91 ### ## ##', '24 #### ####'],
    isSurnameFirst: true,
    women: 'Thị_Hương Thị_Lan Thu_Hà Minh_Châu Thị_Ngọc Phương_Thảo Thanh_Tâm Bích_Ngọc Kim_Liên Thùy_Dương',
    men: 'Văn_Hùng Minh_Tuấn Quốc_Bảo Đức_Anh Hữu_Phước Thanh_Sơn Xuân_Trường Gia_Huy Tiến_Dũng Hoàng_Nam',
    surnames: 'Nguyễn Trần Lê Phạm Hoàng Huỳnh Phan Vũ Võ Đặng Bùi Đỗ',
    stems: 'Hồ Ngô Dương Lý Đinh Trịnh Mai Tô Lương Châu Tạ Thái Quách Kiều Lâm Cao Đoàn Chu La Từ',
    endings: '',
    towns: 'Bến_Mới Sông_Xanh Núi_Ngọc Hòa_Lạc',
    streets: 'Trần_Phú Lê_Lợi Hai_Bà_Trưng Nguyễn_Huệ',
  },
  {
    country: 'IN',
    numbers: ['91', '0', '98### #####', '22 #### ####'],
    women:
      'Lakshmi|Laxmi Priya Sunita|Suneeta Deepa|Dipa Kavita|Kavitha Anjali|Anjli Meenakshi|Minakshi Shreya|Shriya Sarita Geetha|Gita',
    men: 'Rajesh Sanjay Vijay|Vijai Suresh Krishnan|Krishnamurthy Venkatesh|Venkatesan Mohan Arun|Aroon Deepak|Dipak Srinivas|Sreenivas',
    surnames:
      'Sharma|Sarma Patel Gupta Singh Kumar Reddy|Reddi Iyer|Aiyar Nair|Nayar Chatterjee|Chattopadhyay Mukherjee|Mukhopadhyay',
    stems: 'Agar Bhatta Chakra Desh Gho Kul Lak Mano Nar Parekh Rama Sub Tri Upa Venka',
    endings: 'wal charya barti pande sh karni hani har ayan swamy manian vedi dhyay tesan',
    towns: 'Navapur Chandanagar Sitapuram Kamalpet Anandgaon',
    streets: 'MG_Road Station_Road Gandhi_Nagar Temple_Street Lake_View_Colony',
  },
];
