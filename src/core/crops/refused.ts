import type { Crop } from './crop.ts';
import { CROPS } from './library.ts';

/** Why a plant's seedlings are no food. */
export type WhyRefused =
  'nightshade' | 'rhubarb' | 'sweet-pea' | 'lupin' | 'castor' | 'kidney-bean' | 'poisonous' | 'ornamental';

interface Refusal {
  why: WhyRefused;
  /**
   * Names, botanical and common, in English, Spanish, French, German, Italian and Portuguese: small letters, no
   * accents, blanks or hyphens. Plurals in s, es, n and en are understood; others stand here.
   */
  names: string;
}

const REFUSED: readonly Refusal[] = [
  {
    why: 'nightshade',
    names: `tomato tomate jitomate pomodoro pomodori tomatillo lycopersicon lycopersicum solanum solanaceae solanacea
      potato patata papa pommedeterre pommesdeterre kartoffel batata batatainglesa erdapfel
      pepper bellpepper pimiento pimento pimentao pimentoes poivron piment paprika peperone peperoni peperoncino
      peperoncini pimentamalagueta chili chilli chile chilies chillies capsicum ajipicante guindilla
      aubergine eggplant eggfruit berenjena melanzana melanzane beringela berinjela eierfrucht
      nightshade deadlynightshade nachtschatten hierbamora morella belladonna belladona atropa tollkirsche
      goji gojiberry wolfberry lycium bocksdorn physalis groundcherry capegooseberry uchuva andenbeere
      tobacco tabac tabak tabaco tabacco nicotiana datura jimsonweed thornapple stechapfel estramonio stramonio
      brugmansia angelstrumpet engelstrompete mandrake mandragora alraune henbane hyoscyamus bilsenkraut petunia petunie`
  },
  {
    why: 'rhubarb',
    names: 'rhubarb rheum ruibarbo rhubarbe rhabarber rabarbaro'
  },
  {
    why: 'sweet-pea',
    names: `sweetpea lathyrus lathyrusodoratus guisantedeolor guisanteoloroso poisdesenteur duftwicke gartenwicke
      platterbse viciasativa viciavillosa viciaervilia pisellodolce piselloodoroso pisellodorato ervilhadecheiro grasspea vetch wicke`
  },
  {
    why: 'lupin',
    names: 'lupin lupine lupinus lupino lupini altramuz altramuces tremoco tremocos'
  },
  {
    why: 'castor',
    names: `castor castorbean castoroil castoroilplant ricinus ricinuscommunis ricino ricin rizinus wunderbaum mamona
      mamoneira higuerilla`
  },
  {
    why: 'kidney-bean',
    names: `kidney kidneybean kidneybohne phaseolus phaseolusvulgaris haricot haricotvert haricotblanc haricotrouge
      borlotti borlottibean navy navybean blackbean blackturtlebean lima limabean limabohne butterbean runnerbean
      scarletrunner frenchbean greenbean stringbean pinto pintobean cannellini cannellinibean greatnorthern
      judia alubia frijol frijole habichuela poroto caraota feijao feijoes feijoeiro fagiolo fagioli
      bohne gartenbohne buschbohne stangenbohne feuerbohne prunkbohne mondbohne wachtelbohne fisole`
  },
  {
    why: 'poisonous',
    names: `oleander adelfa laurierrose laurelrosa oleandro loendro nerium digitalis foxglove fingerhut dedalera
      digitale dedaleira monkshood wolfsbane aconite aconitum eisenhut aconito hemlock conium schierling cicuta cigue
      yew taxus eibe tejo tasso teixo lilyofthevalley convallaria maiglockchen muguet mughetto larkspur delphinium
      rittersporn espuela morningglory prunkwinde laburnum goldregen autumncrocus colchicum herbstzeitlose colquico
      cassava manioc mandioca maniok yuca sorghum sorgo mohrenhirse sudangrass spurge euphorbia wolfsmilch`
  },
  {
    why: 'ornamental',
    names:
      'ornamental ornamentale ornamentali ornamentales ornamentais ornementale ornemental zierpflanze zier decorative'
  }
];

/** Harmless plants whose names hold one that is refused: pepper-cress is no pepper. */
const NAMESAKES = new Set(
  `peppercress peppergrass peppermint pepperwort gardenpea potatoleafbasil potatoleaf sweetpotato batatadoce
  patatadolce patatedouce boniato haricotmungo haricotsmungo judiamungo judiasmungo frijolmungo frijolesmungo
  feijaomungo fagiolomungo fagiolimungo fagiolimung fagiolomung habichuelamungo porotomungo mungobohne judiaazuki
  haricotazuki haricotadzuki feijaoazuki fagioliazuki fagioloazuki frijolazuki blackmustard limabasil limebasil
  tomatobasil kidneyvetch feijaomungoverde sweetpeppermint`.split(/\s+/)
);

const BY_NAME = new Map(
  REFUSED.flatMap(({ why, names }) => names.split(/\s+/).map((name) => [name, why] as const))
);
/** Words of the longest name: lily of the valley. */
const MOST_WORDS = 4;

/** The words of a name without case, accents, hyphens or what else stands between them. */
const wordsOf = (name: string): string[] =>
  name
    .replace(/ß/g, 'ss')
    .replace(/[œŒ]/g, 'oe')
    .replace(/[æÆ]/g, 'ae')
    .normalize('NFKD')
    .replace(/\p{M}/gu, '')
    .toLowerCase()
    .split(/[^a-z]+/)
    .filter(Boolean);

/** A word, and what it would be of one; a German word that begins so is a plant for show. */
const singulars = (word: string): string[] => [
  word,
  ...(/^zier[a-z]{4,}/.test(word) ? ['zier'] : []),
  ...['s', 'es', 'n', 'en'].flatMap((ending) =>
    word.endsWith(ending) ? [word.slice(0, -ending.length)] : []
  )
];

/** Each word's own stretch of the name and those with its neighbours, the longest first. */
function* stretches(words: readonly string[]): Generator<{ from: number; length: number; joined: string }> {
  for (let length = Math.min(MOST_WORDS, words.length); length >= 1; length -= 1)
    for (let from = 0; from + length <= words.length; from += 1)
      yield { from, length, joined: words.slice(from, from + length).join('') };
}

/**
 * Why a plant may not be grown to be eaten young, or null where nothing speaks against it. It
 * knows the common cases; it cannot know every plant: see {@link isKnownFood}.
 * @param names whatever it is called: common, botanical, family
 */
export function refusedWhy(...names: string[]): WhyRefused | null {
  for (const name of names) {
    const words = wordsOf(name);
    // What belongs to a harmless name says nothing by itself.
    const harmless = new Set<number>();
    for (const { from, length, joined } of stretches(words))
      if (singulars(joined).some((one) => NAMESAKES.has(one)))
        for (let at = from; at < from + length; at += 1) harmless.add(at);
    for (const { from, length, joined } of stretches(words)) {
      if (Array.from({ length }, (_, at) => from + at).some((at) => harmless.has(at))) continue;
      const why = singulars(joined)
        .map((one) => BY_NAME.get(one))
        .find(Boolean);
      if (why) return why;
    }
  }
  return null;
}

const GENERA = new Set(CROPS.map(({ botanicalName }) => wordsOf(botanicalName)[0]));
const NAMES = new Set(CROPS.flatMap(({ name }) => wordsOf(name).filter((word) => word.length > 2)));

/**
 * Whether the library has a plant of this genus, or by this name: then its seedlings are known to be eaten. Of
 * any other the person has to know it, and say so.
 */
export function isKnownFood({ name, botanicalName }: Pick<Crop, 'name' | 'botanicalName'>): boolean {
  const genus = wordsOf(botanicalName)[0];
  if (genus !== undefined) return GENERA.has(genus);
  return wordsOf(name).some((word) => singulars(word).some((one) => NAMES.has(one)));
}
