/** What a name is answered with. `food` passes or is asked about, and is no more than that. */
export type Answer =
  'known' | 'food' | 'refused' | 'misspelled' | 'warned' | 'ornamental' | 'unknown' | 'script';

/** Names and the answer that each must get, one answer a paragraph, parted by commas. */
export const ANSWERS: readonly (readonly [answer: Answer, names: string])[] = [
  [
    'known',
    `radish, Radishes, RADISH, purple kohlrabi, black radish, white radish, red radish, daikon, daikon radish,
     China rose radish, watermelon radish, cherry radish, pinto radish, navy radish, purple radish sprouts,
     radish seeds, organic radish, sweet pepper basil, potato-leaf basil, lettuce-leaf basil, sweet basil, Thai basil,
     lemon basil, purple basil, Genovese basil, peppercress, pepper cress, pepper-grass, garden cress, gardencress,
     watercress, water cress, garden pea, garden peas, pea shoots, Pea Shoots, pea tendrils, sugar snap pea, snow peas, mung,
     mung beans, green mung bean, buckwheat, black mustard, yellow mustard, brown mustard, red mustard,
     curly kale, red Russian kale, Tuscan kale, ornamental kale, Zierkohl, chou ornemental, golden flax, flaxseed, linseed,
     Swiss chard, rainbow chard, ruby chard, rhubarb chard, beetroot, golden beet, red beets, bull's blood beet,
     arugula, rocket, rucola, roquette, coriander, cilantro, flat parsley, curly parsley, Italian parsley, green onion,
     red onion, green shiso, red shiso, purple perilla, black sesame, white sesame, black sunflower, sunflower shoots,
     sunflower greens, wheatgrass, wheat grass, barley grass, oat grass, rye grass, popcorn shoots, corn shoots,
     red amaranth, green lentils, black lentils, red lentils, red-veined sorrel, bronze fennel, garlic chives, purple turnip,
     red cabbage, purple cabbage, broccoli, Brokkoli, brócoli, chou rouge, Rotkohl, cavolo rosso, lombarda, rodekool,
     rzodkiewka czerwona, rábano negro, radis noir, Schwarzer Rettich, ravanello rosso, rode radijs, rabanete roxo,
     Raphanus sativus, Brassica oleracea var. italica, Lens culinaris, Eruca sativa, Beta vulgaris subsp. cicla,
     judía mungo, haricot mungo, feijão mungo, Mungobohnen, fagiolo mungo, taugé, fasola mung,
     kale and radish`
  ],
  [
    'food',
    `spinach, carrot, celery, parsnip, cucumber, pumpkin, zucchini, melon, okra, cauliflower, Brussels sprouts,
     collard greens, pak choi, bok choy, tatsoi, komatsuna, endive, chicory, radicchio, lamb's lettuce, corn salad, purslane,
     orache, cumin, caraway, anise, chervil, lovage, thyme, oregano, marjoram, sage, rosemary, mint, peppermint, pepper mint,
     spearmint, apple mint, lemongrass, savory, hyssop, chickpea, chick pea, cowpea, soybean, adzuki, adzuki beans, black-eyed pea, rice,
     millet, quinoa, spelt, kamut, sweet potato, sweet potatoes, scallion, shallot, garlic, rapeseed, cardoon, artichoke, salsify, stevia,
     black cumin, pepperwort, holy basil, castelfranco, marigold, rutabaga, celeriac, squash, asparagus, mitsuba`
  ],
  [
    'food',
    `espinaca, zanahoria, apio, chirivía, pepino, calabaza, calabacín, melón, sandía, coliflor, coles de Bruselas,
     repollo, acelga, remolacha, rábano, rabanito, nabo, lechuga, escarola, achicoria, canónigos, verdolaga, rúcula,
     albahaca, perejil, culantro, hinojo, eneldo, comino, anís, tomillo, orégano, mejorana, salvia, romero, menta,
     hierbabuena, guisante, arveja, chícharo, garbanzo, lenteja, soja, arroz, mijo, trigo, avena, cebada, centeno, girasol, lino,
     sésamo, ajonjolí, mostaza, berro, cebolla, cebollino, puerro, ajo, quinua, amaranto, boniato, camote, col rizada,
     maíz, alfalfa, trébol rojo, borraja, capuchina, acedera, melisa, toronjil, frijol mungo, judía azuki, trigo sarraceno`
  ],
  [
    'food',
    `épinard, carotte, céleri, panais, concombre, courge, courgette, chou-fleur, chou de Bruxelles, chou frisé,
     chou-rave, betterave, blette, radis, navet, laitue, chicorée, mâche, pourpier, basilic, persil, coriandre, fenouil,
     aneth, anis, cerfeuil, livèche, thym, origan, marjolaine, sauge, romarin, menthe, menthe poivrée, petit pois, petits pois,
     pois chiche, lentille, soja, riz, millet, blé, avoine, orge, seigle, tournesol, lin, sésame, moutarde,
     cresson, cresson alénois, cresson de fontaine, oignon, ciboulette, poireau, poireaux, ail, échalote, amarante, maïs, luzerne,
     trèfle rouge, bourrache, capucine, oseille, mélisse, sarrasin, fenugrec, patate douce, haricot azuki`
  ],
  [
    'food',
    `Spinat, Möhre, Moehren, Karotte, Sellerie, Pastinake, Gurke, Kürbis, Melone, Blumenkohl, Rosenkohl, Grünkohl, Weißkohl,
     Rote Bete, Rote Beete, Mangold, Radieschen, Rettich, Mairübe, Kopfsalat, Endivie, Feldsalat, Portulak, Rauke,
     Basilikum, Petersilie, Koriander, Fenchel, Dill, Kümmel, Kerbel, Liebstöckel, Thymian, Majoran, Salbei, Rosmarin, Minze,
     Pfefferminze, Erbse, Erbsen, Kichererbse, Linse, Linsen, Reis, Hirse, Weizen, Hafer, Gerste, Roggen, Sonnenblume,
     Sonnenblumenkerne, Leinsamen, Sesam, Senf, Kresse, Gartenkresse, Brunnenkresse, Kapuzinerkresse, Zwiebel, Schnittlauch, Lauch,
     Porree, Knoblauch, Schalotte, Amarant, Mais, Rotklee, Borretsch, Sauerampfer, Zitronenmelisse, Buchweizen,
     Bockshornklee, Süßkartoffel, Suesskartoffel, Dinkel, Sojabohne`
  ],
  [
    'food',
    `spinacio, carota, sedano, pastinaca, cetriolo, zucca, zucchina, cavolfiore, cavolo nero, cavolo riccio, cavolo rapa,
     barbabietola, bietola, ravanello, rapa, lattuga, indivia, cicoria, valerianella, portulaca, basilico, prezzemolo,
     coriandolo, finocchio, aneto, anice, cerfoglio, levistico, timo, origano, maggiorana, rosmarino, pisello, piselli, ceci,
     lenticchia, lenticchie, soia, riso, miglio, grano, frumento, orzo, segale, girasole, sesamo, senape, crescione, nasturzio, cipolla,
     erba cipollina, porro, aglio, scalogno, erba medica, trifoglio rosso, borragine, acetosa, grano saraceno, fieno greco,
     patata dolce, menta piperita`
  ],
  [
    'food',
    `espinafre, cenoura, aipo, abóbora, abobrinha, couve-flor, couve, repolho roxo, brócolis, couve-rábano, beterraba,
     rabanete, alface, endívia, chicória, beldroega, manjericão, salsa, coentro, funcho, endro, cominho, tomilho,
     manjerona, sálvia, alecrim, hortelã, hortelã-pimenta, ervilha, ervilhas, grão-de-bico, lentilha, trigo, aveia, cevada, centeio, girassol,
     linhaça, gergelim, mostarda, agrião, cebola, cebolinho, cebolinha, alho-poró, alho, milho, alfafa, trevo vermelho,
     borragem, capuchinha, azedinha, erva-cidreira, trigo-sarraceno, feno-grego, batata-doce`
  ],
  [
    'food',
    `spinazie, wortel, selderij, pastinaak, komkommer, pompoen, meloen, bloemkool, spruitjes, rode kool, boerenkool,
     koolrabi, rode biet, rode bieten, snijbiet, radijs, raap, sla, kropsla, andijvie, witlof, veldsla, postelein, basilicum, peterselie,
     koriander, venkel, dille, komijn, anijs, kervel, lavas, tijm, marjolein, salie, rozemarijn, munt, pepermunt, erwt,
     doperwt, erwten, kikkererwt, linze, linzen, rijst, gierst, tarwe, haver, gerst, rogge, zonnebloem, lijnzaad, vlas, mosterd, tuinkers,
     waterkers, Oost-Indische kers, bieslook, prei, knoflook, sjalot, rode klaver, bernagie, zuring, citroenmelisse,
     boekweit, fenegriek, paksoi, zoete aardappel`
  ],
  [
    'food',
    `szpinak, marchew, seler, pasternak, ogórek, dynia, cukinia, kalafior, brukselka, kapusta czerwona, jarmuż, brokuł,
     kalarepa, burak, burak liściowy, rzodkiewka, rzodkiew, rzepa, sałata, endywia, cykoria, roszponka, rukola, bazylia,
     pietruszka, kolendra, koper włoski, koperek, kminek, anyż, trybula, lubczyk, tymianek, majeranek, szałwia, rozmaryn,
     mięta, mięta pieprzowa, groch, groszek, ciecierzyca, soczewica, ryż, proso, pszenica, owies, jęczmień, żyto, słonecznik,
     siemię lniane, len, sezam, gorczyca, rzeżucha, nasturcja, rukiew wodna, cebula, szczypiorek, por, czosnek, szalotka, kukurydza, lucerna,
     koniczyna czerwona, ogórecznik, szczaw, melisa, gryka, kozieradka, batat`
  ],
  [
    'refused',
    `tomato, tomatoes, Tomato, tomatoe, potatoe, lupinn, narcissuss, cherry tomato, cherry tomatoes, plum tomato, beefsteak tomatoes, tomato seeds, tomato microgreens, potato, potatoes,
     seed potato, pepper, peppers, bell pepper, sweet pepper, chili pepper, chilli, chillies, jalapeño, habanero, cayenne, paprika,
     ornamental pepper, aubergine, eggplant, brinjal, goji, goji berry, tomatillo, ground cherry, cape gooseberry, tobacco, belladonna, deadly nightshade,
     black nightshade, jimson weed, jimsonweed, thorn apple, angel's trumpet, henbane, mandrake, petunia,
     rhubarb, Rhubarb, sweet pea, sweet peas, sweetpea, Sweet-Pea, sweet pea shoots, everlasting pea, perennial pea, grass pea, lupin, lupine, lupins, blue lupin,
     castor, castor bean, castor beans, castor been, castor benas, castor oil plant, castorbean, kidney bean, red kidney beans, lima beans, butter beans, runner bean,
     scarlet runner bean, black beans, navy beans, pinto beans, borlotti beans, cannellini, white beans, green beans, French beans, string beans, haricot beans, common bean,
     rosary pea, jequirity, precatory bean, crab's eye, foxglove, lily of the valley, lily-of-the-valley, daffodil, garden daffodil, narcissus, elder, elderberry, elderflower,
     cherry laurel, poppy, opium poppy, poppy seed, poppies, pokeweed, hellebore, ragwort, celandine, greater celandine, wisteria, laburnum, golden chain, corn cockle,
     yew, oleander, monkshood, wolfsbane, hemlock, water hemlock, poison hemlock, water dropwort, larkspur, delphinium, autumn crocus, morning glory, spurge, hogweed, giant hogweed,
     apple seed, apple seeds, apple pips, cherry pits, cherry stones, cherry kernels, peach kernels, peach pits, plum stones, plum kernels, apricot kernels, apricot seeds,
     bitter almond, vetch, hairy vetch, snowdrop, bluebell, tulip, hyacinth, iris, privet, ivy, mistletoe, bracken, horse chestnut, buttercup, groundsel`
  ],
  [
    'refused',
    `tomate, tomates, tomate cherry, jitomate, patata, patatas, papa, papas, pimiento, pimiento rojo, pimientos, ají, guindilla,
     berenjena, berenjenas, belladona, hierba mora, estramonio, tabaco, ruibarbo, guisante de olor, altramuz, altramuces, ricino, higuerilla,
     judía, judías, judías verdes, alubia, alubias rojas, frijol, frijoles negros, habichuelas, poroto, caraota, adelfa,
     dedalera, digital, lirio de los valles, narciso, saúco, laurel cerezo, amapola, eléboro, celidonia, glicina,
     tejo, acónito, cicuta, semillas de manzana, pepitas de manzana, huesos de cereza, huesos de melocotón, huesos de albaricoque, hierba cana, regaliz americano, espuela de caballero`
  ],
  [
    'refused',
    `tomate cerise, tomates cerises, pomme de terre, pommes de terre, poivron, poivrons rouges, piment, piments, aubergines, morelle noire,
     belladone, datura, tabac, rhubarbe, pois de senteur, lupin blanc, lupins, ricin, haricot, haricots, haricots verts,
     haricots rouges, haricot rouge, laurier-rose, digitale, muguet, jonquille, narcisse, sureau, laurier-cerise, pavot, coquelicot,
     hellébore, séneçon, chélidoine, glycine, cytise, nielle des blés, if, aconit, grande ciguë, ciguë, pépins de pomme,
     noyaux de cerise, noyaux de pêche, noyaux d'abricot, colchique, raisin d'Amérique`
  ],
  [
    'refused',
    `Tomate, Tomaten, Kirschtomate, Kirschtomaten, Cocktailtomaten, Kartoffel, Kartoffeln, Paprika, Chilischote, Peperoni, Auberginen, Nachtschatten,
     Tollkirsche, Stechapfel, Bilsenkraut, Engelstrompete, Tabak, Bocksdorn, Rhabarber, Duftwicke, Wicke, Wicken, Lupine, Lupinen, Rizinus,
     Wunderbaum, Kidneybohne, Kidneybohnen, Bohne, Bohnen, Gartenbohne, Buschbohnen, Stangenbohnen, Feuerbohne, Limabohnen, Schwarze Bohnen, weiße Bohnen, Paternostererbse,
     Fingerhut, Maiglöckchen, Narzisse, Osterglocke, Holunder, Kirschlorbeer, Mohn, Schlafmohn, Klatschmohn, Kermesbeere, Nieswurz,
     Christrose, Jakobskreuzkraut, Schöllkraut, Blauregen, Goldregen, Kornrade, Eibe, Oleander, Eisenhut, Schierling, Wasserschierling,
     Herbstzeitlose, Rittersporn, Apfelkerne, Kirschkerne, Pfirsichkerne, Aprikosenkerne, Zierpaprika, Bittermandel`
  ],
  [
    'refused',
    `pomodoro, pomodori, pomodoro ciliegino, pomodorini, peperone, peperoni, peperoncino, melanzana, melanzane, patate, belladonna,
     stramonio, tabacco, rabarbaro, pisello odoroso, piselli odorosi, lupino, lupini, fagiolo, fagioli, fagiolini, fagioli borlotti,
     fagiolo di Spagna, oleandro, digitale purpurea, mughetto, giunchiglia, sambuco, lauroceraso, papavero, elleboro, senecione, celidonia,
     glicine, maggiociondolo, gittaione, tasso, aconito, semi di mela, noccioli di ciliegia, noccioli di pesca, mandorla amara, colchico`
  ],
  [
    'refused',
    `tomate cereja, batata, batatas, pimentão, pimenta malagueta, pimenta, beringela, berinjela, tremoço, tremoços, mamona, feijão,
     feijões, feijão preto, feijão vermelho, vagem, ervilha-de-cheiro, dedaleira, lírio-do-vale, narcisos, sabugueiro, papoula, papoila, heléboro,
     tasneira, glicínia, teixo, loendro, espirradeira, acônito, sementes de maçã, caroços de cereja, caroços de pêssego, trombeteira, estramónio`
  ],
  [
    'refused',
    `tomaat, tomaten, kerstomaat, kerstomaten, cherrytomaat, aardappel, aardappels, aardappelen, peper, pepers, paprika's, chilipeper, aubergine, nachtschade,
     doornappel, tabak, rabarber, lathyrus, reukerwt, lupine, wonderboom, kidneyboon, kidneybonen, boon, bonen, sperziebonen, sperzieboon, bruine bonen, zwarte bonen, witte bonen,
     pronkboon, limaboon, snijboon, vingerhoedskruid, lelietje-van-dalen, narcis, vlier, vlierbes, laurierkers, klaproos, papaver, maanzaad, nieskruid, jakobskruiskruid,
     stinkende gouwe, blauweregen, goudenregen, bolderik, taxus, monnikskap, gevlekte scheerling, waterscheerling, appelpitten, kersenpitten, perzikpitten, herfsttijloos`
  ],
  [
    'refused',
    `pomidor, pomidory, pomidor koktajlowy, pomidorki koktajlowe, ziemniak, ziemniaki, papryka, papryka czerwona, papryczka chili, bakłażan, oberżyna, psianka, wilcza jagoda,
     bieluń, lulek czarny, tytoń, rabarbar, groszek pachnący, groszek wonny, łubin, rącznik, rycynus, fasola, fasola czerwona, fasola czarna, fasola biała, fasolka szparagowa,
     naparstnica, konwalia, narcyz, żonkil, bez czarny, czarny bez, laurowiśnia, mak, mak lekarski, szkarłatka, ciemiernik, starzec, glistnik, glicynia, złotokap,
     kąkol, cis, oleander, tojad, szczwół, cykuta, szalej jadowity, pestki jabłka, pestki wiśni, pestki brzoskwini, pestki moreli, zimowit, modligroszek`
  ],
  [
    'refused',
    `Solanum lycopersicum, Solanum tuberosum, Capsicum annuum, Lathyrus odoratus, Lupinus albus, Ricinus communis, Phaseolus vulgaris,
     Phaseolus lunatus, Phaseolus coccineus, Abrus precatorius, Digitalis purpurea, Convallaria majalis, Narcissus pseudonarcissus,
     Sambucus nigra, Prunus laurocerasus, Papaver somniferum, Phytolacca americana, Helleborus niger, Jacobaea vulgaris, Senecio jacobaea, Chelidonium majus,
     Wisteria sinensis, Laburnum anagyroides, Agrostemma githago, Taxus baccata, Nerium oleander, Aconitum napellus, Conium maculatum,
     Cicuta virosa, Rheum rhabarbarum, Atropa belladonna, Datura stramonium, Nicotiana tabacum, Vicia sativa, Euphorbia lathyris`
  ],
  [
    'refused',
    `Lycopersicon, Cherry-tomato, sweet peppers, bell-pepper, chile, egg plant, eggplants, egg-plant, Lycium barbarum,
     physalis, nicotiana, sweet  pea, Sweet-Peas, Duftwicken, ervilha de cheiro, kidneybean, Kidney-Beans, borlotti,
     black bean, lima bean, limabeans, runner-beans, judias, frijoles, Gartenbohnen, digitalis`
  ],
  ['food', `pepper-cress, mung bean, Mungobohne, lima basil`],
  [
    'misspelled',
    `tomatto, tomatoo, tomto, tmoato, tomata, tonato, tomaato, tommato, t0mato, tomaot, tоmato, cherry tomatto,
     potatto, potsto, poteto, pottato, ptoato, potat0, pototo, potaot, opotato, potaato,
     aubergin, aubregine, aubergene, auberginne, augergine, auberigne, uabergine, aubbergine, aubergime, aubergone,
     eggplnat, egplant, eggplent, eggplantt, eggpland, eggplan, egglant, eggplamt, egggplant, gegplant,
     rubarb, rhubarrb, rhubrab, rhubard, rhurbarb, rhubab, rhuburb, rhubarg, hrubarb, rhuharb,
     lupimn, lupyn, lupne, luppin, lupibe, lupinr, lpuine, lubine, luine, lupjne,
     castr bean, caster bean, castorr bean, casttor beans, casor bean, cstor bean, kastor bean, castro bean, cqstor bean, castpr bean,
     kidny beans, kidney beens, kidnei bean, kindey beans, kideny bean, kidne bean, kidneyy beans, kidbey bean, kidnwy bean, kidneu bean,
     foxglov, foxgove, foxglowe, foxgloove, foxgolve, faxglove, fozglove, foxgluve, oxglove, foxglovr,
     dafodil, dafffodil, daffodill, dafodil flowers, daffidil, daffodel, daffodi, dafofdil, faffodil, baffodil, garden dafodil,
     beladonna, belladonne, bellladonna, belladnna, belladinna, bekladonna, belladonma, elladonna, bellaodnna,
     hemlok, hemlck, hemlockk, hemloch, hmelock, henlock, hemlick, emlock, hemmlock, hemolck,
     oleandr, oleandwr, olaender, oleeander, olander, oleandeer, 0leander, olesnder, oleamder, oleadner,
     rosery pea, rosary pae, rosary peea, rosarry pea, roary pea, orsary pea, rosaru pea, rosari pea, ropsary pea, rossary pea,
     swet pea, sweat pea, sweet pae, sweeet pea, sweet pee, sweer pea, sweet lea, weet pea, swet pea shoots, sweetpeea,
     monkshod, monkshoood, monkhood, monskhood, munkshood, monkshoof, mankshood, minkshood, mnkshood, monkshoid,
     wistria, wisterria, wistaria, wisteia, wsteria, wisterai, wisteris, eisteria, wisterla, wiisteria,
     larkspurr, larkspr, lakspur, larksupr, larkspir, lerkspur, larkspor, larrkspur, larkspyr, barkspur,
     laburnun, laburnm, labrunum, labarnum, laburnuum, leburnum, laburmum, laburnim, laburnam, kaburnum,
     narcisus, narcissous, narcisuss, narccissus, nercissus, narcixsus, narcisaus, narcissua, arcissus, nacrissus`
  ],
  [
    'warned',
    `broad bean, broad beans, fava, fava bean, fava beans, faba bean, horse bean, haba, habas, fève, fèves, Ackerbohne, Dicke Bohne, dicke Bohnen, Saubohne,
     Puffbohne, tuinboon, tuinbonen, bób, Vicia faba, cassava, manioc, yuca, mandioca, Maniok, sorghum, sorghum shoots, sorgo, Sudan grass,
     cotton, algodón, coton, Baumwolle, cotone, algodão, katoen, bawełna, taro, eddoe`
  ],
  [
    'ornamental',
    'ornamental, ornamental radish, ornamental grass, Zierpflanze, plante ornementale, decorative corn shoots'
  ],
  [
    'unknown',
    `Stardust, pea, peas, bean, beans, garden, red, shoots, wild radish, cow parsley, fool's parsley, false flax, wild carrot,
     wild mustard, tomato-leaf lettuce, garden angelica, sweet cicely, sweet woodruff, blue flax, scarlet flax, purple sorrel, wood sorrel, dog fennel,
     hedge mustard, red, green, grass, seeds, microgreens, wild pea, wild fennel, water parsnip, lemon, black, fool's cress, 12345, --, mango`
  ],
  ['script', 'томат, редис, помидор, 大根, فجل, トマト, ראשן, ραπανάκι, मूली, 토마토, คะน้า']
];

/** Each name with its answer. */
export const NAMES: readonly { name: string; answer: Answer }[] = ANSWERS.flatMap(([answer, names]) =>
  names.split(',').map((name) => ({ name: name.trim().replace(/\s+/g, ' '), answer }))
);
