/** Words written for the demo. */
export const CARRY_THE_LAMP_DOWN = `Verse 1
The tide has gone to fetch the moon,
the slip is dark with rain;
we carry down the little lamps
to bring it home again.

Chorus
Carry the lamp down, carry it low,
past the last door, where the small boats go;
one for the missing, one for the found,
carry the lamp down, carry it round.

Verse 2
The ropewalk and the kiln are lit,
the steps, the upper slip;
there’s one for every window sill
and one for every ship.

Chorus

Bridge
And if the wind should take the flame,
your neighbour has one still;
we light it there and start again,
from Gannet Steps to hill.

Chorus

Words and tune: Merrow Quay singers · written for this evening
`;

export const HARBOUR_KIND = `Verse 1
Harbour kind, harbour wide,
hold the ones who come inside;
cold the hand and long the way,
keep a chair for those who stray.

Verse 2
Harbour kind, harbour deep,
watch the boats while children sleep;
what the open water took,
write it softly in your book.

Refrain
Kind be the stone, kind be the rope,
kind be the lantern that carries our hope.

Verse 3
Harbour kind, harbour home,
call us when we have to roam;
leave a light upon the wall,
there is landing here for all.

Refrain

Words: Merrow Quay singers
`;

/** The same in Spanish, section by section. */
export const PUERTO_AMABLE = `Estrofa 1
Puerto amable, puerto abierto,
guarda a quien regresa al puerto;
fría la mano y larga la vía,
deja una silla para quien se desvía.

Estrofa 2
Puerto amable, puerto hondo,
cuida las barcas hasta el fondo;
lo que el mar abierto llevó,
tu libro en voz baja lo escribió.

Estribillo
Buena la piedra, buena la cuerda,
buena la luz que la esperanza recuerda.

Estrofa 3
Puerto amable, puerto y hogar,
llámanos si hay que vagar;
deja una luz sobre el muro,
para todos hay puerto seguro.
`;

export const NINE_BELLS = `[Verse 1]
Nine bells, no wind,
the sails hang like washing,
nine bells, no wind,
the gulls will not fly.

[Chorus]
Row, then, row for the morning,
row, for the morning is wide;
what the wind will not give us
we’ll borrow from oar and from tide.

[Verse 2]
Nine bells, no star,
the cook sings the compass,
nine bells, no star,
and nobody’s lost.

[Chorus]
`;
