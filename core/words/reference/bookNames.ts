// Data: what the 66 books are called, and for short, in the languages that references are read in.

/** For each language: OSIS code, name, short forms that people type. English is in books.ts. */
export const BOOK_NAMES: Readonly<Record<string, string>> = {
  es: `
Gen|Génesis|gn gé gén
Exod|Éxodo|éx exo
Lev|Levítico|lv
Num|Números|nm núm
Deut|Deuteronomio|dt
Josh|Josué|jos
Judg|Jueces|jue
Ruth|Rut|rt
1Sam|1 Samuel|1s 1sa
2Sam|2 Samuel|2s 2sa
1Kgs|1 Reyes|1r 1re 1rey
2Kgs|2 Reyes|2r 2re 2rey
1Chr|1 Crónicas|1cr 1cró
2Chr|2 Crónicas|2cr 2cró
Ezra|Esdras|esd
Neh|Nehemías|ne
Esth|Ester|est
Job|Job|jb
Ps|Salmos|salmo sal sl
Prov|Proverbios|pr prov
Eccl|Eclesiastés|ec ecl
Song|Cantares|cantar cantardeloscantares cantares cnt ct
Isa|Isaías|is
Jer|Jeremías|jr
Lam|Lamentaciones|lm lam
Ezek|Ezequiel|ez
Dan|Daniel|dn
Hos|Oseas|os
Joel|Joel|jl
Amos|Amós|am
Obad|Abdías|abd ab
Jonah|Jonás|jon
Mic|Miqueas|miq mi
Nah|Nahúm|na
Hab|Habacuc|hab
Zeph|Sofonías|sof so
Hag|Hageo|ageo hag ag
Zech|Zacarías|zac
Mal|Malaquías|mal
Matt|Mateo|mt sanmateo
Mark|Marcos|mc mr sanmarcos
Luke|Lucas|lc sanlucas
John|Juan|jn sanjuan
Acts|Hechos|hch hech hechosdelosapóstoles
Rom|Romanos|ro rom
1Cor|1 Corintios|1co
2Cor|2 Corintios|2co
Gal|Gálatas|gá
Eph|Efesios|ef
Phil|Filipenses|fil flp
Col|Colosenses|col
1Thess|1 Tesalonicenses|1ts 1tes
2Thess|2 Tesalonicenses|2ts 2tes
1Tim|1 Timoteo|1ti
2Tim|2 Timoteo|2ti
Titus|Tito|tit
Phlm|Filemón|flm filem
Heb|Hebreos|he heb
Jas|Santiago|stg sant
1Pet|1 Pedro|1p 1pe
2Pet|2 Pedro|2p 2pe
1John|1 Juan|1jn
2John|2 Juan|2jn
3John|3 Juan|3jn
Jude|Judas|jud
Rev|Apocalipsis|ap apoc`,
  pt: `
Gen|Gênesis|gn gênesis génesis
Exod|Êxodo|ex êx
Lev|Levítico|lv
Num|Números|nm
Deut|Deuteronômio|dt deuteronómio
Josh|Josué|js
Judg|Juízes|jz
Ruth|Rute|rt
1Sam|1 Samuel|1sm
2Sam|2 Samuel|2sm
1Kgs|1 Reis|1rs
2Kgs|2 Reis|2rs
1Chr|1 Crônicas|1cr 1crónicas
2Chr|2 Crônicas|2cr 2crónicas
Ezra|Esdras|ed
Neh|Neemias|ne
Esth|Ester|et
Job|Jó|jó
Ps|Salmos|salmo sl
Prov|Provérbios|pv
Eccl|Eclesiastes|ec
Song|Cânticos|cânticodoscânticos cantares ct
Isa|Isaías|is
Jer|Jeremias|jr
Lam|Lamentações|lm
Ezek|Ezequiel|ez
Dan|Daniel|dn
Hos|Oseias|os oséias
Joel|Joel|jl
Amos|Amós|am
Obad|Obadias|ob
Jonah|Jonas|jn jonas
Mic|Miqueias|mq miquéias
Nah|Naum|na
Hab|Habacuque|hc
Zeph|Sofonias|sf
Hag|Ageu|ag
Zech|Zacarias|zc
Mal|Malaquias|ml
Matt|Mateus|mt
Mark|Marcos|mc
Luke|Lucas|lc
John|João|jo
Acts|Atos|at actos
Rom|Romanos|rm
1Cor|1 Coríntios|1co
2Cor|2 Coríntios|2co
Gal|Gálatas|gl
Eph|Efésios|ef
Phil|Filipenses|fp
Col|Colossenses|cl
1Thess|1 Tessalonicenses|1ts
2Thess|2 Tessalonicenses|2ts
1Tim|1 Timóteo|1tm
2Tim|2 Timóteo|2tm
Titus|Tito|tt
Phlm|Filemom|fm filémon
Heb|Hebreus|hb
Jas|Tiago|tg
1Pet|1 Pedro|1pe
2Pet|2 Pedro|2pe
1John|1 João|1jo
2John|2 João|2jo
3John|3 João|3jo
Jude|Judas|jd
Rev|Apocalipse|ap`,
  fr: `
Gen|Genèse|gn
Exod|Exode|ex
Lev|Lévitique|lv
Num|Nombres|nb
Deut|Deutéronome|dt
Josh|Josué|jos
Judg|Juges|jg
Ruth|Ruth|rt
1Sam|1 Samuel|1s
2Sam|2 Samuel|2s
1Kgs|1 Rois|1r
2Kgs|2 Rois|2r
1Chr|1 Chroniques|1ch
2Chr|2 Chroniques|2ch
Ezra|Esdras|esd
Neh|Néhémie|ne
Esth|Esther|est
Job|Job|jb
Ps|Psaumes|psaume ps
Prov|Proverbes|pr
Eccl|Ecclésiaste|ec qo
Song|Cantique|cantiquedescantiques ct
Isa|Ésaïe|esaïe isaïe és is
Jer|Jérémie|jr
Lam|Lamentations|lm
Ezek|Ézéchiel|ez
Dan|Daniel|dn
Hos|Osée|os
Joel|Joël|jl
Amos|Amos|am
Obad|Abdias|ab
Jonah|Jonas|jon
Mic|Michée|mi
Nah|Nahum|na
Hab|Habacuc|ha
Zeph|Sophonie|so
Hag|Aggée|ag
Zech|Zacharie|za
Mal|Malachie|ml
Matt|Matthieu|mt
Mark|Marc|mc
Luke|Luc|lc
John|Jean|jn
Acts|Actes|ac actesdesapôtres
Rom|Romains|rm
1Cor|1 Corinthiens|1co
2Cor|2 Corinthiens|2co
Gal|Galates|ga
Eph|Éphésiens|ép ep
Phil|Philippiens|ph
Col|Colossiens|col
1Thess|1 Thessaloniciens|1th
2Thess|2 Thessaloniciens|2th
1Tim|1 Timothée|1tm
2Tim|2 Timothée|2tm
Titus|Tite|tt
Phlm|Philémon|phm
Heb|Hébreux|hé
Jas|Jacques|jc
1Pet|1 Pierre|1p
2Pet|2 Pierre|2p
1John|1 Jean|1jn
2John|2 Jean|2jn
3John|3 Jean|3jn
Jude|Jude|jude
Rev|Apocalypse|ap`,
  de: `
Gen|1. Mose|1mose 1mo genesis
Exod|2. Mose|2mose 2mo exodus
Lev|3. Mose|3mose 3mo levitikus
Num|4. Mose|4mose 4mo numeri
Deut|5. Mose|5mose 5mo deuteronomium
Josh|Josua|jos
Judg|Richter|ri
Ruth|Rut|ruth
1Sam|1. Samuel|1sam
2Sam|2. Samuel|2sam
1Kgs|1. Könige|1kön
2Kgs|2. Könige|2kön
1Chr|1. Chronik|1chr
2Chr|2. Chronik|2chr
Ezra|Esra|esr
Neh|Nehemia|neh
Esth|Ester|est esther
Job|Hiob|hi ijob
Ps|Psalmen|psalm ps
Prov|Sprüche|spr sprichwörter
Eccl|Prediger|pred kohelet
Song|Hoheslied|hld hohelied
Isa|Jesaja|jes
Jer|Jeremia|jer
Lam|Klagelieder|klgl
Ezek|Hesekiel|hes ezechiel
Dan|Daniel|dan
Hos|Hosea|hos
Joel|Joel|joel
Amos|Amos|am
Obad|Obadja|obd
Jonah|Jona|jona
Mic|Micha|mi
Nah|Nahum|nah
Hab|Habakuk|hab
Zeph|Zefanja|zef zephanja
Hag|Haggai|hag
Zech|Sacharja|sach
Mal|Maleachi|mal
Matt|Matthäus|mt
Mark|Markus|mk
Luke|Lukas|lk
John|Johannes|joh
Acts|Apostelgeschichte|apg
Rom|Römer|röm
1Cor|1. Korinther|1kor
2Cor|2. Korinther|2kor
Gal|Galater|gal
Eph|Epheser|eph
Phil|Philipper|phil
Col|Kolosser|kol
1Thess|1. Thessalonicher|1thess
2Thess|2. Thessalonicher|2thess
1Tim|1. Timotheus|1tim
2Tim|2. Timotheus|2tim
Titus|Titus|tit
Phlm|Philemon|phlm
Heb|Hebräer|hebr
Jas|Jakobus|jak
1Pet|1. Petrus|1petr
2Pet|2. Petrus|2petr
1John|1. Johannes|1joh
2John|2. Johannes|2joh
3John|3. Johannes|3joh
Jude|Judas|jud
Rev|Offenbarung|offb`,
};

/** One psalm is called so. */
export const ONE_PSALM: Readonly<Record<string, string>> = {
  en: "Psalm",
  es: "Salmo",
  pt: "Salmo",
  fr: "Psaume",
  de: "Psalm",
};
