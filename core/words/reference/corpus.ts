// Data: references as people type them, and what they mean: language | typed | meaning by OSIS.

const TABLE = `
en|jn 3 16|John.3.16
en|jn 3 16-18|John.3.16-John.3.18
en|John 3.16|John.3.16
en|Jn 3,16|John.3.16
en|John 3: 16|John.3.16
en|John 3 : 16 - 18|John.3.16-John.3.18
en|john3:16|John.3.16
en|JOHN 3:16|John.3.16
en|(John 3:16)|John.3.16
en|[Jn 3:16]|John.3.16
en|“John 3:16”|John.3.16
en|John 3:16.|John.3.16
en|John 3 v 16|John.3.16
en|John 3 v16|John.3.16
en|John 3v16|John.3.16
en|John 3 v. 16|John.3.16
en|John 3 vs 16|John.3.16
en|John 3 vs. 16-18|John.3.16-John.3.18
en|John 3 vv 16-18|John.3.16-John.3.18
en|John 3 vv. 16–18|John.3.16-John.3.18
en|John 3, verse 16|John.3.16
en|John 3 verses 16 to 18|John.3.16-John.3.18
en|John chapter 3 verse 16|John.3.16
en|John chapter 3, verses 16 through 18|John.3.16-John.3.18
en|john ch 3 v 16|John.3.16
en|John ch. 3:16|John.3.16
en|John 3 (verses 16-18)|John.3.16-John.3.18
en|John 3:16 and 18|John.3.16,John.3.18
en|John 3:16 & 18|John.3.16,John.3.18
en|John 3:16, 18|John.3.16,John.3.18
en|John 3:16-18, 20|John.3.16-John.3.18,John.3.20
en|John 3:16-end|John.3.16-John.3.36
en|John 3:16 - end|John.3.16-John.3.36
en|John 3:16ff|John.3.16-John.3.36
en|John 3:16 ff.|John.3.16-John.3.36
en|John 3:16f|John.3.16-John.3.17
en|John 3:16f.|John.3.16-John.3.17
en|John 3:16-4:2|John.3.16-John.4.2
en|St John 3:16|John.3.16
en|St. John 3:16|John.3.16
en|Saint Matthew 5:3|Matt.5.3
en|St Matthew 5:3-12|Matt.5.3-Matt.5.12
en|Gospel of John 3:16|John.3.16
en|The Gospel of John 3:16|John.3.16
en|The Gospel according to St John 3:16|John.3.16
en|the gospel according to Luke 2:1-7|Luke.2.1-Luke.2.7
en|Book of Ruth 1:16|Ruth.1.16
en|The book of Genesis 1:1|Gen.1.1
en|Letter to the Romans 8:28|Rom.8.28
en|Epistle to the Hebrews 11:1|Heb.11.1
en|Letter of James 1:5|Jas.1.5
en|First Corinthians 13:4-7|1Cor.13.4-1Cor.13.7
en|1st Corinthians 13:4-7|1Cor.13.4-1Cor.13.7
en|I Corinthians 13:4-7|1Cor.13.4-1Cor.13.7
en|1 Cor. 13:4-7|1Cor.13.4-1Cor.13.7
en|1Cor 13:4-7|1Cor.13.4-1Cor.13.7
en|1 cor 13;4-7|1Cor.13.4-1Cor.13.7
en|1 cor 13.4-7|1Cor.13.4-1Cor.13.7
en|1 Corinthians 13 verses 4 to 7|1Cor.13.4-1Cor.13.7
en|First letter to the Corinthians 13:4|1Cor.13.4
en|Second letter of Peter 1:3|2Pet.1.3
en|2nd Timothy 1:7|2Tim.1.7
en|II Tim 1:7|2Tim.1.7
en|Third John 4|3John.1.4
en|3 jn 4|3John.1.4
en|1 john 4:7-8, 16b|1John.4.7-1John.4.8,1John.4.16
en|Ps 23|Ps.23.1-Ps.23.6
en|psalm 23|Ps.23.1-Ps.23.6
en|pslam 23|Ps.23.1-Ps.23.6
en|Psalms 23|Ps.23.1-Ps.23.6
en|psa 23:1-3|Ps.23.1-Ps.23.3
en|The 23rd Psalm|Ps.23.1-Ps.23.6
en|23rd psalm|Ps.23.1-Ps.23.6
en|Psalm 23 and 24|Ps.23.1-Ps.23.6,Ps.24.1-Ps.24.10
en|Psalms 23 & 24|Ps.23.1-Ps.23.6,Ps.24.1-Ps.24.10
en|Ps 23, 24|Ps.23.1-Ps.23.6,Ps.24.1-Ps.24.10
en|Ps 23,24|Ps.23.1-Ps.23.6,Ps.24.1-Ps.24.10
en|Psalm 1 to 2|Ps.1.1-Ps.2.12
en|Psalm 107, verses 23 to 30|Ps.107.23-Ps.107.30
en|ps 107:23-30; jn 1:1-5|Ps.107.23-Ps.107.30,John.1.1-John.1.5
en|Ps 107:23-30 and John 1:1-5|Ps.107.23-Ps.107.30,John.1.1-John.1.5
en|Ps 107:23-30 & Jn 1:1-5|Ps.107.23-Ps.107.30,John.1.1-John.1.5
en|Ps 107:23-30, Jn 1:1-5|Ps.107.23-Ps.107.30,John.1.1-John.1.5
en|Psalm 107:23-30 + John 1:1|Ps.107.23-Ps.107.30,John.1.1
en|Isa 40:1-5; 43:1|Isa.40.1-Isa.40.5,Isa.43.1
en|Rom 8:28;12:1-2|Rom.8.28,Rom.12.1-Rom.12.2
en|Matt 5:3, 5-7, 10|Matt.5.3,Matt.5.5-Matt.5.7,Matt.5.10
en|Matt 5:3,5|Matt.5.3,Matt.5.5
en|Matthew 5 3-12|Matt.5.3-Matt.5.12
en|Mt5:3|Matt.5.3
en|Mt. 5:3–12|Matt.5.3-Matt.5.12
en|Mt 5.3,7|Matt.5.3,Matt.5.7
en|Jude 3|Jude.1.3
en|Jude v 3|Jude.1.3
en|Jude verse 3|Jude.1.3
en|Jude vv 3-5|Jude.1.3-Jude.1.5
en|Jude 1:3|Jude.1.3
en|Jude 24-25|Jude.1.24-Jude.1.25
en|Philemon 6|Phlm.1.6
en|Philemon 1:6|Phlm.1.6
en|Obadiah|Obad.1.1-Obad.1.21
en|Song of Songs 2:8|Song.2.8
en|Canticles 2:8|Song.2.8
en|Song 2:8-10|Song.2.8-Song.2.10
en|Revelation of John 21:1-4|Rev.21.1-Rev.21.4
en|Revelations 21:1-4|Rev.21.1-Rev.21.4
en|Apocalypse 21:1|Rev.21.1
en|Acts of the Apostles 2:1|Acts.2.1
en|Lk 1:46b-55|Luke.1.46-Luke.1.55
en|Luke 2:1-20 (WEB)|Luke.2.1-Luke.2.20
en|Luke 2:1-20 WEB|Luke.2.1-Luke.2.20
en|Luke 2:1-20 (World English Bible)|Luke.2.1-Luke.2.20
en|Luke 2:1-20, WEB|Luke.2.1-Luke.2.20
en|Gen 1:26-2:3|Gen.1.26-Gen.2.3
en|Genesis 1 - 2:3|Gen.1.1-Gen.2.3
en|Gen 1:1–5 ; 2:1|Gen.1.1-Gen.1.5,Gen.2.1
en|Deut. 6:4-9|Deut.6.4-Deut.6.9
en|Eccl 3:1-8|Eccl.3.1-Eccl.3.8
en|Eccles. 3:1-8|Eccl.3.1-Eccl.3.8
en|Ecclesiastes 3 1-8|Eccl.3.1-Eccl.3.8
en|Proverbs 3 verse 5|Prov.3.5
en|Prov 3:5-6|Prov.3.5-Prov.3.6
en|philipp 4:4|Phil.4.4
en|Phillipians 4:4|Phil.4.4
en|Philippians 4: 4 - 7|Phil.4.4-Phil.4.7
en|Galations 5:22|Gal.5.22
en|Ephesans 2:8|Eph.2.8
en|Collossians 3:16|Col.3.16
en|Thessalonians 5:16|1Thess.5.16
en|1 Thess 5:16-18|1Thess.5.16-1Thess.5.18
en|Isiah 40:31|Isa.40.31
en|Jerimiah 29:11|Jer.29.11
en|Habbakuk 3:17|Hab.3.17
en|Zechariah 9:9|Zech.9.9
en|Corinthans 13:4|1Cor.13.4
en|Corinthians 13:4-7|1Cor.13.4-1Cor.13.7
en|Peter 2:9|1Pet.2.9
en|Timothy 1:7|1Tim.1.7
en|Hebrew 11:1|Heb.11.1
en|Roman 8:28|Rom.8.28
en|Matthews 5:3|Matt.5.3
en|Lev. 19:18|Lev.19.18
en|Num 6:24-26|Num.6.24-Num.6.26
en|1 Sam 16:7|1Sam.16.7
en|I Samuel 16:7|1Sam.16.7
en|2 Kings 2:11|2Kgs.2.11
en|1 Chr 16:34|1Chr.16.34
en|1 ch 16:34|1Chr.16.34
en|Ps 119:105ff|Ps.119.105-Ps.119.176
en|Ps 119:1-8, 33-40|Ps.119.1-Ps.119.8,Ps.119.33-Ps.119.40
en|Ps 151:2|! noSuchChapter
en|Ps 117:3|! noSuchVerse
en|Hezekiah 3:1|! unknownBook
en|Boat 7|! unknownBook
en|Studio 54|! unknownBook
en|Room 12|! unknownBook
en|Stage 3|! unknownBook
en|Number 10|Num.10.1-Num.10.36
de|Jn 3,16|John.3.16
de|Joh 3,16|John.3.16
de|Joh 3, 16|John.3.16
de|Joh 3,16-18|John.3.16-John.3.18
de|Joh 3,16f|John.3.16-John.3.17
de|Joh 3,16ff|John.3.16-John.3.36
de|Joh 3,16.18|John.3.16,John.3.18
de|1 Kor 13,4-7.13|1Cor.13.4-1Cor.13.7,1Cor.13.13
de|1. Kor 13,4-7.13|1Cor.13.4-1Cor.13.7,1Cor.13.13
de|1Kor 13,4|1Cor.13.4
de|1. Korinther 13,4-7|1Cor.13.4-1Cor.13.7
de|Erster Korinther 13,4|1Cor.13.4
de|Erster Brief an die Korinther 13,4|1Cor.13.4
de|Der Brief an die Römer 8,28|Rom.8.28
de|Brief des Paulus an die Römer 8,28|Rom.8.28
de|Römer 8,28-30|Rom.8.28-Rom.8.30
de|Roemer 8,28|Rom.8.28
de|Röm 8,28; 12,1-2|Rom.8.28,Rom.12.1-Rom.12.2
de|1. Mose 1,1-3|Gen.1.1-Gen.1.3
de|1 Mose 1,1|Gen.1.1
de|2. Mose 20,2-3|Exod.20.2-Exod.20.3
de|Evangelium nach Johannes 3,16|John.3.16
de|Das Evangelium nach Lukas 2,1-20|Luke.2.1-Luke.2.20
de|Johannes Kapitel 3 Vers 16|John.3.16
de|Lukas 2, 1-20|Luke.2.1-Luke.2.20
de|Psalm 23|Ps.23.1-Ps.23.6
de|Psalm 23,1-3|Ps.23.1-Ps.23.3
de|Psalm 23 und 24|Ps.23.1-Ps.23.6,Ps.24.1-Ps.24.10
de|Offb 21,1-5a|Rev.21.1-Rev.21.5
de|Hebraeer 11,1|Heb.11.1
de|Hebr 11,1|Heb.11.1
de|Jes 40,31|Isa.40.31
de|Mt 5,3-12; Lk 6,20-23|Matt.5.3-Matt.5.12,Luke.6.20-Luke.6.23
de|Mt 5,3-12 und Lk 6,20|Matt.5.3-Matt.5.12,Luke.6.20
de|Joh 3,16-4,2|John.3.16-John.4.2
de|Joh 3:16|John.3.16
es|Jn 3, 16-18|John.3.16-John.3.18
es|Juan 3:16|John.3.16
es|Juan 3,16|John.3.16
es|San Juan 3:16|John.3.16
es|Evangelio según san Juan 3:16|John.3.16
es|Primera de Juan 4:7|1John.4.7
es|Primera carta a los Corintios 13:4-7|1Cor.13.4-1Cor.13.7
es|Primera Corintios 13:4|1Cor.13.4
es|1ª Corintios 13:4|1Cor.13.4
es|1 Corintios 13, 4-7|1Cor.13.4-1Cor.13.7
es|Segunda Timoteo 1:7|2Tim.1.7
es|Carta a los Romanos 8:28|Rom.8.28
es|Salmo 23|Ps.23.1-Ps.23.6
es|Salmos 23 y 24|Ps.23.1-Ps.23.6,Ps.24.1-Ps.24.10
es|Salmo 107:23-30 y Juan 1:1|Ps.107.23-Ps.107.30,John.1.1
es|Juan capítulo 3 versículo 16|John.3.16
es|Juan cap. 3 vers. 16 al 18|John.3.16-John.3.18
es|Génesis 1:1 a 3|Gen.1.1-Gen.1.3
es|Genesis 1:1|Gen.1.1
es|Éxodo 20:2|Exod.20.2
es|Apocalipsis 21:1-4|Rev.21.1-Rev.21.4
es|Hechos de los Apóstoles 2:1|Acts.2.1
es|Isaías 40:31|Isa.40.31
fr|Jean 3, 16|John.3.16
fr|Jean 3,16|John.3.16
fr|Jn 3, 16-18|John.3.16-John.3.18
fr|1 Co 13, 4-7|1Cor.13.4-1Cor.13.7
fr|Première épître aux Corinthiens 13, 4|1Cor.13.4
fr|Évangile selon Jean 3, 16|John.3.16
fr|Psaume 23|Ps.23.1-Ps.23.6
fr|Genèse 1, 1-3|Gen.1.1-Gen.1.3
fr|Apocalypse 21, 1-4|Rev.21.1-Rev.21.4
fr|Luc 2, 1-20|Luke.2.1-Luke.2.20
pt|João 3:16|John.3.16
pt|Joao 3,16|John.3.16
pt|Jo 3, 16|John.3.16
pt|1 Coríntios 13, 4-7|1Cor.13.4-1Cor.13.7
pt|Primeira Coríntios 13:4|1Cor.13.4
pt|Salmo 23|Ps.23.1-Ps.23.6
pt|Apocalipse 21:1-4|Rev.21.1-Rev.21.4
pt|Gênesis 1:1|Gen.1.1
`;

export interface TypedReference {
  readonly language: string;
  readonly typed: string;
  /** OSIS ranges parted by commas; "! kind" for what is none. */
  readonly means: string;
}

export const TYPED_REFERENCES: readonly TypedReference[] = TABLE.trim()
  .split("\n")
  .map((row) => {
    const [language, typed, means] = row.split("|") as [string, string, string];
    return { language, typed, means };
  });
