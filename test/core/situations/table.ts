/**
 * What an experienced grower says of what is seen: crop, method, how far it is, how it was kept, what is seen, and what it
 * most likely is. Written down by hand, from the trays and not from the weights that answer them.
 *
 * Methods: press (weight, shut, dome), stack (stacked, misted daily, straight to light), light (a layer, misted, a lid).
 * How far: sown (the day before), sprout, rooted, dark (the stems are even), left (three days too long in the dark), lit (half a day of light),
 * growing, open, best, past. The cause `none` is nothing that Brote knows; after it stand causes that must not even be
 * thought of.
 */
export const SITUATIONS = `
radish | press | sprout | lamp kept | hairs | root-hairs
radish | press | rooted | lamp kept | hairs | root-hairs
mustard | press | rooted | damp kept | hairs | root-hairs
pea | press | growing | damp kept | hairs | mould
sunflower | press | sprout | lamp kept | tails | on-time
pea | press | rooted | lamp kept | tails | on-time
beet | press | late-sprout | cold kept | tails | slow
parsley | press | late-sprout | cold kept | tails | slow
sunflower | press | dark | damp soggy | mould | mould
pea | press | left | damp kept | mould | mould
wheat | press | growing | damp kept | mould | mould
radish | press | sprout | cold kept | mould | hairs-after-all
broccoli | stack | sprout | lamp kept | mould | hairs-after-all
kale | press | growing | lamp dry | fallen-dry | dry
cress-garden | light | growing | lamp dry mat | fallen-dry | dry
lettuce | press | open | hot dry | fallen-dry | dry
basil | press | growing | draught kept | fallen-dry | draught
amaranth | press | growing | draught kept | fallen-dry | draught
radish | press | left | lamp kept | fallen-dry | long-dark
kale | press | growing | lamp soggy | fallen-rot | damping-off
basil | press | growing | damp soggy thick | fallen-rot | damping-off
chia | light | growing | damp kept mat | fallen-rot | damping-off
amaranth | press | growing | damp soggy | fallen-rot | damping-off
radish | press | left | lamp kept | stretched | long-dark
buckwheat | press | left | hot kept | stretched | long-dark
kale | press | growing | dim kept | stretched | dim
mizuna | stack | growing | dim kept | stretched | dim
lettuce | press | growing | hot kept | stretched | too-warm
cilantro | press | growing | hot kept | stretched | too-warm
radish | press | growing | lamp kept thick | stretched | crowded
clover-red | press | growing | lamp kept thick | stretched | crowded
maize-shoot | press | growing | lamp kept | stretched | meant-pale
basil | press | growing | cold kept | weak | cold
amaranth | press | growing | cold kept | weak | cold
onion | press | growing | lamp kept old | weak | old-seed
radish | press | growing | dim kept | weak | dim
sorrel | press | growing | lamp soggy | weak | waterlogged
watercress | press | growing | hot dry | weak | dry
radish | press | lit | lamp kept | pale | just-lit
sunflower | press | lit | bright kept | pale | just-lit
kale | press | growing | dim kept | pale | dim
broccoli | press | growing | dim kept | pale | dim
basil | press | growing | cold kept | pale | cold
parsley | press | past | lamp kept | pale | unfed
maize-shoot | press | growing | lamp kept | pale | meant-pale
lettuce | press | growing | close kept | pale | lamp-close
mizuna | press | growing | close kept | scorched | lamp-close
lettuce | press | growing | close dry | scorched | lamp-close
basil | press | growing | close kept fed | scorched | lamp-close
kale | press | growing | draught kept | scorched | dry-air
cilantro | press | growing | draught kept | scorched | dry-air
lettuce | press | growing | hot kept | scorched | too-warm
radish | press | lit | bright kept | scorched | sudden-sun
cabbage-red | stack | lit | bright kept | scorched | sudden-sun
leek | press | growing | lamp kept mesh full-feed | scorched | strong-feed
parsley | press | open | lamp kept | hungry | unfed
shiso | press | open | lamp kept | hungry | unfed
pea | press | growing | lamp soggy | hungry | waterlogged
radish | press | growing | damp soggy | hungry | waterlogged
basil | press | growing | close kept | hungry | lamp-close
lettuce | press | growing | close kept | hungry | lamp-close
basil | press | growing | cold kept | hungry | cold
sunflower | light | growing | lamp kept | hulls | unpressed
borage | press | growing | lamp kept | hulls | clinging
radish | press | dark | lamp kept | pale | unlit
sunflower | press | growing | lamp kept | hulls | clinging
beet | press | growing | lamp kept | hulls | clinging
chard | stack | growing | lamp kept | hulls | clinging
cilantro | press | growing | lamp kept | hulls | clinging
radish | press | growing | draught kept | hulls | dry-hulls
leek | press | growing | draught kept | hulls | dry-hulls
onion | press | growing | lamp kept | hulls | dry-hulls
cabbage-red | light | growing | lamp kept | hulls | unpressed
radish | press | growing | lamp dry | patchy | dry-edge
mizuna | light | growing | lamp dry mat | patchy | dry-edge
pea | press | growing | lamp kept | patchy | clumped
sunflower | press | growing | lamp kept | patchy | clumped
chia | press | growing | lamp kept | patchy | clumped
flax | press | growing | lamp kept | patchy | clumped
chives | press | growing | lamp kept old | patchy | old-seed
shiso | press | growing | lamp kept old | patchy | old-seed
pea | press | rooted | lamp kept unsoaked | patchy | unsoaked
beet | press | rooted | lamp kept unsoaked | patchy | unsoaked
lettuce | press | rooted | hot kept | patchy | dormant
cilantro | press | rooted | hot kept | patchy | dormant
basil | press | rooted | cold kept | patchy | cold
broccoli | press | open | lamp kept | true-leaf | turning
cabbage-red | press | best | lamp kept | true-leaf | turning
kohlrabi | stack | open | lamp kept | true-leaf | turning
turnip | press | growing | lamp kept | true-leaf | turning
sunflower | press | open | lamp kept | true-leaf | turning
kale | press | past | lamp kept | true-leaf | overripe
basil | press | open | lamp kept | true-leaf | ripe
dill | press | open | lamp kept | true-leaf | ripe
lemon-balm | press | open | lamp kept | true-leaf | ripe
pea | press | growing | lamp kept | true-leaf | leaf-belongs
lentil | press | growing | lamp kept | true-leaf | leaf-belongs
mung | press | growing | lamp kept | true-leaf | leaf-belongs
radish | press | open | lamp kept | tastes-ready | ripe
pea-tendril | press | best | lamp kept | tastes-ready | ripe
kale | press | past | lamp kept | bitter | overripe
mustard | press | past | lamp kept | bitter | overripe
lettuce | press | growing | hot kept | bitter | too-warm
mizuna | press | growing | lamp dry | bitter | dry
radish | press | growing | lamp kept | bitter | unripe
fenugreek | press | growing | lamp kept | bitter | unripe
pea | press | past | lamp kept | fibrous | overripe
barley | press | past | lamp kept | fibrous | overripe
wheat | press | past | lamp kept | fibrous | overripe
buckwheat | press | left | lamp kept | fibrous | long-dark
alfalfa | press | rooted | damp kept | hairs | root-hairs
alfalfa | stack | growing | damp soggy thick | fallen-rot | damping-off
arugula | light | growing | lamp kept | patchy | clumped
borage | press | growing | dim kept | stretched | dim
fennel | press | rooted | lamp kept | tails | on-time
oat | press | growing | damp kept | mould | mould
rye | press | growing | lamp dry | fallen-dry | dry
sesame | press | growing | cold kept | weak | cold
nasturtium | press | late-sprout | cold kept | tails | slow
arugula | press | best | lamp kept | tastes-ready | ripe
watercress | press | growing | lamp dry | fallen-dry | dry
chives | press | open | dim kept | pale | dim
kohlrabi | press | growing | close kept | scorched | lamp-close
turnip | press | left | lamp kept | stretched | long-dark
dill | press | growing | hot kept | weak | too-warm
fennel | press | growing | dim kept | stretched | dim
sorrel | press | growing | draught kept | fallen-dry | draught
lemon-balm | press | growing | cold kept | pale | cold
mung | press | past | lamp kept | fibrous | overripe
lentil | press | growing | damp soggy | mould | mould
pea-tendril | press | growing | dim kept | stretched | dim
clover-red | press | growing | lamp soggy | fallen-rot | damping-off
oat | press | past | lamp kept | hungry | old-grass
maize-shoot | press | past | lamp kept | fibrous | overripe
radish | press | growing | lamp dry bare | fallen-dry | dry
radish | press | growing | lamp kept bare | fallen-dry | none
mustard | light | growing | damp soggy paper | hungry | waterlogged
wheat | light | open | lamp kept | true-leaf | second-blade | leaf-belongs unfed
barley | light | best | lamp kept | true-leaf | second-blade | turning
oat | light | open | bright kept | true-leaf | second-blade | leaf-belongs
rye | light | growing | lamp kept | true-leaf | second-blade | unfed
wheat | light | past | lamp kept | scorched | old-grass | unfed strong-feed
barley | light | past | lamp kept | scorched | old-grass | lamp-close
oat | light | past | bright kept | hungry | old-grass | unfed
rye | light | past | lamp kept mat | hungry | old-grass | unfed
wheat | light | past | damp kept | scorched | old-grass | lamp-close
barley | light | growing | close kept | scorched | lamp-close | overripe
wheat | light | growing | draught kept | scorched | dry-air | overripe
lettuce | press | growing | close kept | bleached | lamp-close | unfed
basil | press | open | close kept | bleached | lamp-close | unfed
radish | press | growing | close kept mat | bleached | lamp-close | cold
wheat | light | growing | close kept | bleached | lamp-close | overripe
radish | press | lit | bright kept | bleached | sudden-sun | lamp-close
kale | stack | lit | bright kept | bleached | sudden-sun | lamp-close
mustard | press | growing | dim kept | bleached | none | lamp-close sudden-sun
pea | press | growing | lamp kept | bleached | none | lamp-close
kale | press | growing | faint kept | pale | faint-lamp | dim
broccoli | press | open | faint kept | pale | faint-lamp | dim
radish | press | growing | faint kept | stretched | faint-lamp | dim
lettuce | press | growing | faint kept | weak | faint-lamp | dim
sunflower | press | growing | faint kept mat | pale | faint-lamp | dim unfed
kale | press | growing | dim kept mat | pale | dim | faint-lamp
radish | press | growing | lamp kept | pale | none | dim faint-lamp unfed
radish | press | lit | lamp kept | bent | bent-by-weight | long-dark
pea | press | rooted | lamp kept | bent | bent-by-weight | long-dark
sunflower | press | dark | lamp kept | bent | bent-by-weight | draught
broccoli | stack | rooted | lamp kept mat | bent | bent-by-weight | long-dark
lettuce | press | growing | lamp kept | bent | none | bent-by-weight
kale | press | left | lamp kept | bent | long-dark | bent-by-weight
pea | press | growing | lamp kept | bent | none | bent-by-weight
radish | press | sprout | sultry kept | mould | mould | hairs-after-all
sunflower | press | sprout | sultry kept | mould | mould | hairs-after-all
beet | press | rooted | sultry kept | mould | mould | hairs-after-all
wheat | light | sprout | sultry kept | mould | mould | hairs-after-all
kale | press | sprout | draught kept | mould | hairs-after-all
pea | press | sprout | lamp kept | mould | hairs-after-all
radish | press | sprout | sultry kept mat | hairs | root-hairs
radish | press | growing | lamp kept | weak | none | cold dim old-seed
kale | press | open | lamp kept mat | weak | none | cold dim
pea | press | growing | lamp kept | fallen-dry | none | dry draught
sunflower | press | growing | lamp kept | scorched | none | lamp-close strong-feed
radish | press | growing | lamp kept | hungry | none | unfed waterlogged
broccoli | press | growing | lamp kept | patchy | none | clumped old-seed
radish | press | growing | lamp kept | stretched | none | long-dark dim
lettuce | press | growing | lamp kept paper | stretched | none | too-warm
kohlrabi | press | rooted | lamp kept | patchy | none | clumped
pea | press | growing | lamp kept | fibrous | none | overripe
buckwheat | press | growing | lamp kept mesh | scorched | none | strong-feed
radish | press | growing | hot kept | weak | too-warm | cold
cilantro | press | growing | hot kept mat | weak | too-warm | cold
lettuce | press | rooted | hot kept mat | patchy | dormant | cold
basil | press | growing | cold kept mat | weak | cold | too-warm
pea | press | growing | lamp soggy mat | weak | waterlogged | dry
radish | press | growing | lamp dry mat | fallen-dry | dry | draught
radish | press | growing | lamp dry paper | fallen-dry | dry | long-dark
kale | press | open | bright dry | fallen-dry | dry | draught
sunflower | press | growing | lamp soggy mat | fallen-rot | damping-off | long-dark
pea | press | left | lamp kept | stretched | long-dark | dim
mizuna | press | left | lamp kept mat | stretched | long-dark | dim
leek | press | growing | cold kept mat | pale | cold | too-warm
sunflower | press | rooted | lamp kept unsoaked | patchy | unsoaked | dormant
arugula | press | past | lamp kept | bitter | overripe | unripe
kale | press | lit | lamp kept mat | pale | just-lit | unlit
parsley | press | open | lamp kept mat | hungry | unfed | waterlogged
radish | press | open | lamp kept | hairs | root-hairs
radish | press | open | lamp kept | tails | none | slow
radish | press | open | lamp kept | bitter | none | overripe
radish | press | open | lamp kept | fibrous | none | overripe
radish | press | open | lamp kept | patchy | none | dry-edge
sunflower | press | rooted | lamp kept | true-leaf | none | turning ripe
pea | press | sown | lamp kept | fallen-rot | none | damping-off
pea | press | sown | lamp kept | weak | none | waterlogged
pea | press | sown | lamp kept | bent | none | bent-by-weight
pea | press | sown | lamp kept | true-leaf | none | leaf-belongs ripe
mustard | press | growing | lamp kept | tastes-ready | unripe
`;
