/**
 * Vegetables, herbs and grains that the library does not have. Brote does not vouch for their seedlings; they are listed
 * so that none of them is taken for the misspelled name of a poisonous plant.
 */
export const FOOD_NAMES = `
spinach; carrot; celery; celeriac; parsnip; cucumber; pumpkin; squash; zucchini; courgette; melon; okra; cauliflower;
Brussels sprouts; collard; collard greens; pak choi; bok choy; tatsoi; komatsuna; endive; chicory; radicchio; lambs lettuce;
corn salad; purslane; orache; cumin; caraway; anise; chervil; lovage; thyme; oregano; marjoram; sage; rosemary; mint; peppermint;
pepper mint; spearmint; apple mint; lemongrass; savory; hyssop; chickpea; chick pea; cowpea; soybean; soy; adzuki; adzuki bean; azuki
bean; black eyed pea; black eyed bean; rice bean; rice; millet; quinoa; kamut; sweet potato; shallot; garlic; rapeseed; rape; cardoon; artichoke;
salsify; stevia; black cumin; nigella; pepperwort; castelfranco; marigold; rutabaga; swede; asparagus; mitsuba; holy basil; pigeon pea;
winged bean; yard long bean; pepper dulse; black pepper; white pepper; Sichuan pepper; pink pepper;
apple; peach; plum; apricot; almond; pear; grape;
espinaca; zanahoria; apio; chirivía; pepino; calabaza; calabacín; sandía; coliflor; coles de Bruselas; repollo; escarola; achicoria;
canónigos; verdolaga; culantro; comino; anís; tomillo; orégano; mejorana; salvia; romero; menta; hierbabuena; garbanzo; soja; arroz;
mijo; ajo; quinua; boniato; camote; judía azuki; frijol azuki; poroto azuki;
épinard; carotte; céleri; panais; concombre; courge; chou-fleur; chou de Bruxelles; chicorée; mâche; pourpier; anis; cerfeuil; livèche;
thym; origan; marjolaine; sauge; romarin; menthe; menthe poivrée; pois chiche; riz; ail; échalote; patate douce; haricot azuki; haricot adzuki;
Spinat; Möhre; Karotte; Sellerie; Pastinake; Gurke; Kürbis; Melone; Blumenkohl; Rosenkohl; Weißkohl; Endivie; Feldsalat; Portulak; Kümmel;
Kerbel; Liebstöckel; Thymian; Majoran; Salbei; Rosmarin; Minze; Pfefferminze; Kichererbse; Reis; Hirse; Knoblauch; Schalotte; Süßkartoffel;
Sojabohne; Adzukibohne; Augenbohne; Muskatnuss;
spinacio; carota; sedano; pastinaca; cetriolo; zucca; zucchina; cavolfiore; indivia; cicoria; valerianella; portulaca; cumino; anice;
cerfoglio; levistico; timo; origano; maggiorana; rosmarino; cece; ceci; soia; riso; miglio; aglio; scalogno; patata dolce; menta piperita;
fagiolo azuki; fagioli azuki;
espinafre; cenoura; aipo; abóbora; abobrinha; couve-flor; couve; couve-de-bruxelas; endívia; chicória; beldroega; cominho; tomilho;
manjerona; sálvia; alecrim; hortelã; hortelã-pimenta; grão-de-bico; arroz; alho; batata-doce; pimenta-do-reino; feijão azuki; feijão-frade;
spinazie; wortel; selderij; pastinaak; komkommer; pompoen; meloen; bloemkool; spruitjes; andijvie; witlof; veldsla; postelein; komijn;
anijs; kervel; lavas; tijm; marjolein; salie; rozemarijn; munt; pepermunt; kikkererwt; rijst; gierst; knoflook; sjalot; paksoi;
zoete aardappel; sojaboon; sojabonen; adukiboon; zwarte peper;
szpinak; marchew; seler; pasternak; ogórek; dynia; cukinia; kalafior; brukselka; endywia; cykoria; roszponka; portulaka; kminek; anyż;
trybula; lubczyk; tymianek; majeranek; szałwia; rozmaryn; mięta; mięta pieprzowa; ciecierzyca; ryż; proso; czosnek; szalotka; batat; kapusta; fasola azuki;
Glycine max; Glycine soja; Vigna; Vigna angularis; Vigna unguiculata; kidney vetch; tomato leaf; potato leaf`;

/** Plants whose names a colour or form makes out of a crop's: not that crop. */
export const NAMESAKES = `
blue flax; red flax; scarlet flax; crimson flax; purple sorrel; yellow sorrel; pink sorrel; white sorrel; black onion; yellow dock;
red sage; blue lettuce; giant fennel`;

/** Words of colour, form, variety and use, which leave a crop the crop it is; and the small words between. */
export const HARMLESS_WORDS = `
red; purple; green; white; black; yellow; golden; gold; pink; blue; violet; brown; dark; light; bronze; silver; rainbow; ruby; opal; scarlet;
rojo; roja; morado; morada; verde; blanco; blanca; negro; negra; amarillo; amarilla; rosa;
rouge; violet; violette; vert; verte; blanc; blanche; noir; noire; jaune; rose;
rot; rote; roter; rotes; lila; violetter; violett; grün; grüne; grüner; grünes; weiß; weiße; weißer; weißes; schwarz; schwarze; schwarzer; schwarzes; gelb; gelbe;
gelber; gelbes; rosso; rossa; viola; bianco; bianca; nero; nera; giallo; gialla; vermelho; vermelha; roxo; roxa; branco; branca; preto;
preta; amarelo; amarela; rode; rood; paarse; paars; groene; groen; witte; wit; zwarte; zwart; gele; geel; czerwony; czerwona; czerwone; fioletowy;
fioletowa; zielony; zielona; zielone; biały; biała; białe; czarny; czarna; czarne; żółty; żółta; żółte;
dwarf; curly; curled; flat; leaf; leaved; leafed; long; round; early; late; hulled; unhulled; whole; split; baby; micro; mini; microgreen; greens;
sprout; sprouting; shoot; seed; seedling; tendril; grass; organic; bio; fine; broad; large; small; mild; spicy; hot; veined; mixed; mix; untreated; young; afila;
liso; lisa; rizado; rizada; frisé; frisée; kraus; krause; glatt; glatte; riccio; liscio; semilla; brote; brotes; germinado; graine; pousse; Samen;
Sprosse; Saat; Keimsprosse; seme; semi; germoglio; germogli; semente; rebento; broto; zaad; zaden; kiem; nasiona; kiełki;
Italian; Chinese; Japanese; Thai; Russian; French; Tuscan; Genovese; Moscow; China; lemon; lime; cinnamon; cherry; watermelon; pinto; navy; rambo; sango;
triton; icicle; breakfast; champion; Detroit; bulls blood; bull; blood; Waltham; Calabrese; di Cicco; wrinkled; streaks; southern; giant; oil; striped; speckled;
beluga; Florence; Bordeaux; Hong Vit; hairy; frilled; frills; lollo; oakleaf; group; s;
de; la; le; du; des; del; della; di; da; do; dos; al; the; of; van; der; die; das; den; and; with; for; y; et; und; e; en; i`;
