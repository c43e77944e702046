import { PLAYER_WORDS } from './heads-in-other-languages.js';
import { plainLetters } from './same-name.js';
import { STRIKE_FIELDS, type StrikeField } from './strike-fields.js';
import { SPEED_UNITS, splitHead } from './strike-units.js';

/** What heads of columns are in English, without their units. */
const ENGLISH: Readonly<Record<StrikeField, RegExp>> = {
  clubSpeedMps: /^(club|head|clubhead|swing) ?(head)? ?(speed|velocity|vel)$|^chs$/,
  ballSpeedMps: /^ball ?(speed|velocity|vel)$|^speed$/,
  smash: /^smash( ?factor)?$/,
  attackDeg: /^(club |head )?(attack( angle)?|angle of attack|aoa)$/,
  spinAxisDeg: /axis/,
  sideSpinRpm: /^side ?spin( ?rate)?$/,
  spinRpm: /^(total|back)? ?spin ?(rate)?$/,
  azimuthDeg:
    /azimuth|^launch h$|^(launch|start|horizontal|ball) ?(launch ?)?(direction|dir|line|hla)$|^direction$|^hla$|^(horizontal|side) (launch )?angle$/,
  launchDeg: /^(launch|take ?off|vertical) ?(launch)? ?(angle|ang|v|vla)?$|^vla$/,
  descentDeg: /(land|descent|attack on green).*(angle|ang)?$|^desc( angle)?$/,
  apexM: /apex|max ?height|peak|^height$/,
  offlineM:
    /^(carry )?(flat )?(side|lateral|off ?line|deviation|from (pin|line))( carry| total)?( distance)?$/,
  totalM: /^(est |estimated )?total( flat)?( ?(dist|distance|length|yards|m))?$/,
  carryM: /^carry( flat)?( ?(dist|distance|length|yards))?$|^dist(ance)?$/,
  shot: /^(shot|swing) ?(type|kind)$/,
  player: /^(player|golfer|athlete)( ?name)?$/,
  club: /^club( ?(name|type|id|used))?$/,
  at: /^(date|day|time ?stamp|date ?time|shot (date|time))$/,
  time: /^(time|hour)$/,
};

const SPEED = /geschw|vitesse|^vit |veloc|snelheid|hastigh|^fart| fart$/;
const ANGLE = /winkel|angle|angulo|angolo|hoek|vinkel/;
const SPIN = /spin|drall|rotation|rotazione|rotacao|efecto|effetto|effet|efeito/;
const AXIS = /ach|axe|asse|\beje|eixo|axel|akse|as$/;
const SIDE = /seit|side|lateral|sido|zij|horizont|orizzont/;

/**
 * The same in German, French, Spanish, Italian, Portuguese, Dutch, Swedish, Danish and Norwegian, without the
 * marks over their letters: a head says all of one of these. From memory, no source.
 */
const ELSEWHERE: Readonly<Partial<Record<StrikeField, readonly (readonly RegExp[])[]>>> = {
  clubSpeedMps: [[SPEED, /schlag|kopf|club|palo|bastone|taco|klubb|kolle|cabeza|tete|testa|swing/]],
  ballSpeedMps: [[SPEED, /\bball|\bbal|\bbola|\bpelota|\bpalla|\bboll|\bbold/]],
  smash: [[/^smash (faktor|facteur|fattore|fator)$/]],
  attackDeg: [[ANGLE, /angriff|eintreff|attaque|ataque|attacco|aanval|angrep|angreb|anfall/]],
  spinAxisDeg: [[SPIN, AXIS], [/^dreh ?ach/], [/giro/, AXIS]],
  sideSpinRpm: [[SPIN, SIDE]],
  spinRpm: [
    [
      /^(ball|total|gesamt|ruckwarts|retro)? ?(spinn?|drall|effet|effetto|efecto|efeito|rotation|rotazione|rotacao)$/,
    ],
    [/^spinn? ?(total[a-z]*|gesamt|hastighe[td]|snelheid)$/],
    [/^(spin|effet|effetto|efecto|efeito|rotation|rotazione) ?(arriere|retro|atras|total[a-z]*)$/],
    [/^(taux|vitesse|velocidad|velocita) (de |di )?(spin|rotation|giro|rotazione|efecto)$/],
  ],
  azimuthDeg: [
    [/richt|direc|direz|riktning|retning|azimut/, /^(?!.*(swing|schwung|club))/],
    [ANGLE, SIDE, /^(?!.*(swing|schwung))/],
  ],
  launchDeg: [
    [
      ANGLE,
      /abflug|start|abschlag|lanc|lanz|utgang|udgang|utskyt|envol|salida|saida|despeg|decol|depart|vertikal/,
    ],
  ],
  descentDeg: [[ANGLE, /land|auf|eintritt|atter|aterr|caida|descen|descid|disces|nedslag|inslag/]],
  apexM: [[/hoh|hoehe|hauteur|altura|altezza|hoogte|hojde|hoyde|hojd|apog|scheitel|gipfel/, /^(?!.*tee)/]],
  offlineM: [
    [/lateral|seit|abweich|ablage|ecart|deviaz|desvia|desvio|zijwaarts|afwijk|^sida|sido|avvik|afvig/],
  ],
  totalM: [
    [/^(gesamt|total|samlet|totaal)[a-z]*( (distan[a-z]+|lange|langd|lengde|weite))?$/],
    [/^(distan[a-z]+|afstand|avstand|longueur) total[a-z]*$/],
  ],
  carryM: [
    [/^(distan[a-z]+|afstand|avstand|longueur) (de |di )?carry$/],
    [/^carry ?(lange|langd|lengde|weite|distan[a-z]+|afstand|avstand)$/],
    [/^((flug|schlag)?weite|flug(distanz|lange)|portee|vlucht(lengte|afstand)?|flyglangd)$/],
    [/^(distan(cia|za)|afstand|avstand)$/],
    [/^(distan(cia|za) (de |di )?)?(vuelo|volo|voo)$/],
  ],
  player: [[new RegExp(`^(${PLAYER_WORDS})(name|naam|navn|namn)?$`)]],
  club: [
    [/^(schlager|palo|bastone|taco|klubba|kolle|golfclub)(typ|name)?$/],
    [/^(type|nom|tipo|nome|nombre) (de |di |del |do )?(club|palo|bastone|taco)$/],
  ],
  at: [[/^(datum|fecha|data|dato|dia|jour|giorno|zeitpunkt|zeitstempel)$/]],
  time: [[/^(uhrzeit|zeit|heure|hora|ora|orario|tijd|tid|klokkeslett|klokkeslaet|klockslag)$/]],
};

/** Heads of a number that is not kept: how long a ball flew, how far from a target it was, where the face met it. */
const NOT_KEPT = [
  /zeit|temps|tiempo|tempo|tijd|\btid|time|\bwind|wind$/,
  /ziel|objectif|objetivo|target|score|effic|quali/,
  /face|impa|treffpunkt|path|plane|loft/,
];

/**
 * What a column's head says it holds, in English or another language; undefined where nothing that is kept, or
 * what another column holds already.
 * @example strikeFieldOf('Ballgeschwindigkeit [km/h]') // 'ballSpeedMps'
 */
export function strikeFieldOf(head: string, taken: readonly StrikeField[] = []): StrikeField | undefined {
  const { words, unit } = splitHead(head);
  if (unit && SPEED_UNITS.includes(unit) && /^(ball|club)$/.test(words))
    return free(words === 'ball' ? 'ballSpeedMps' : 'clubSpeedMps', taken);
  const inEnglish = STRIKE_FIELDS.filter(({ field }) => ENGLISH[field].test(words));
  if (inEnglish.length > 0) return inEnglish.find(({ field }) => !taken.includes(field))?.field;
  const plain = plainLetters(words);
  const elsewhere = STRIKE_FIELDS.find(
    ({ field, units }) =>
      !(units.length > 0 && NOT_KEPT.some((pattern) => pattern.test(plain))) &&
      ELSEWHERE[field]?.some((patterns) => patterns.every((pattern) => pattern.test(plain))),
  );
  return elsewhere && free(elsewhere.field, taken);
}

function free(field: StrikeField, taken: readonly StrikeField[]): StrikeField | undefined {
  return taken.includes(field) ? undefined : field;
}

/** Whether a head of a spin says it is the spin backwards alone, without that to the side. */
export function isBackSpin(head: string): boolean {
  return /back|ruckwarts|arriere|retro|atras/.test(plainLetters(splitHead(head).words));
}
