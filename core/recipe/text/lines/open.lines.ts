/** Lines the reader was mended on: which of them are read wrong is printed by name. Labelled as the sealed ones. */
export const openLines = `
2 big leeks, sliced thin | 2 | piece | leeks | sliced thin
1 lb 4 oz dried white beans, soaked | 20 | oz | dried white beans | soaked
a good glug of oil | 1 | glug | oil |
3 carrots + 2 sticks celery | 3 | piece | carrots |
+ | 2 | stick | celery |
2 (400 g) tins plum tomatoes | 800 | g | plum tomatoes |
half a kilo kale, stalks out | 1/2 | kg | kale | stalks out
salt and pepper | | | salt |
+ | | | pepper |
Salt & pepper to taste | | | salt |
+ | | | pepper |
oil and vinegar | | | oil |
+ | | | vinegar |
1 onion and 2 cloves garlic, both chopped fine | 1 | piece | onion |
+ | 2 | clove | garlic | both chopped fine
1 carrot, 1 onion, 1 stick of celery | 1 | piece | carrot |
+ | 1 | piece | onion |
+ | 1 | stick | celery |
Flour 500 g | 500 | g | flour |
Butter - 120g | 120 | g | butter |
sugar: 2 tbsp | 2 | tbsp | sugar |
Eggs x 4 | 4 | piece | eggs |
Potatoes (1.5 kg) | 3/2 | kg | potatoes |
Milk 1/2 litre | 1/2 | l | milk |
3 x eggs | 3 | piece | eggs |
2x onions, diced | 2 | piece | onions | diced
2 x 150g skinless salmon fillets | 300 | g | skinless salmon fillets |
4 skin-on chicken legs | 4 | piece | skin-on chicken legs |
1 whole chicken (about 1.6kg) | 1 | piece | whole chicken |
1 large chicken, jointed | 1 | piece | chicken |
500g pack of egg noodles | 500 | g | egg noodles |
a 400g tin of chopped tomatoes | 400 | g | tomatoes | chopped
1 400 g tin kidney beans | 400 | g | kidney beans |
2 cans (14 oz each) coconut milk | 28 | oz | coconut milk |
1 (28-oz) can whole peeled tomatoes | 28 | oz | whole peeled tomatoes |
3 tins of tuna in oil, drained | 3 | tin | tuna in oil | drained
1 bag of baby spinach (about 200 g) | 200 | g | baby spinach |
2 punnets cherry tomatoes | 2 | pack | cherry tomatoes |
1 bottle (750 ml) red wine | 750 | ml | red wine |
1 jar (350g) roasted red peppers, drained | 350 | g | red peppers | roasted, drained
1 sachet dried yeast (7g) | 7 | g | dried yeast |
1 pkt ready-rolled puff pastry | 1 | pack | ready-rolled puff pastry |
½ cup (120 mL) olive oil | 1/2 | cup | olive oil |
1/3 cup / 80 ml maple syrup | 80 | ml | maple syrup |
1lb/450g minced beef | 450 | g | beef | minced
500g (1lb 2oz) strong white flour | 500 | g | strong white flour |
1 oz (28 g) butter | 1 | oz | butter |
2 tablespoons (30 ml) lemon juice | 2 | tbsp | lemon juice |
1 tablespoon/15ml fish sauce | 15 | ml | fish sauce |
2 pounds or 900 g chuck steak | 2 | lb | chuck steak |
1 1/2 - 2 cups water | 3/2 to 2 | cup | water |
3 - 4 sprigs rosemary | 3 to 4 | sprig | rosemary |
6-8 cloves garlic, minced | 6 to 8 | clove | garlic | minced
200-250ml milk | 200 to 250 | ml | milk |
1-2 tsp. chili flakes, or to taste | 1 to 2 | tsp | chili flakes |
two to three tablespoons capers | 2 to 3 | tbsp | capers |
from 4 to 5 cups broth | 4 to 5 | cup | broth |
up to 1 litre stock | 0 to 1 | l | stock |
1 1/2 tsp fine sea salt | 3/2 | tsp | fine sea salt |
1½ kg floury potatoes | 3/2 | kg | floury potatoes |
.5 tsp cloves, ground | 1/2 | tsp | cloves | ground
0.5kg carrots | 1/2 | kg | carrots |
1,5 dl grädde | 3/2 | dl | grädde |
2.5kg oxtail | 5/2 | kg | oxtail |
12,000 g chicken bones | 12000 | g | chicken bones |
1.250 kg beef shin | 5/4 | kg | beef shin |
3/4 of a cucumber, grated | 3/4 | piece | cucumber | grated
a quarter of a red cabbage, shredded | 1/4 | piece | red cabbage | shredded
half a bunch of parsley | 1/2 | bunch | parsley |
one and a half pints milk | 3/2 | ukPint | milk |
a dozen eggs | 12 | piece | eggs |
2 dozen clams | 24 | piece | clams |
zest and juice of 1 lemon | 1 | piece | lemon | zest and juice
juice from 2 limes | 2 | piece | limes | juice
1 orange, zested and juiced | 1 | piece | orange | zested and juiced
zest of half an orange | 1/2 | piece | orange | zest
3 tbsp lemon juice | 3 | tbsp | lemon juice |
1 inch ginger, grated | 1 | piece | ginger | grated
a 2 cm knob of ginger, peeled | 1 | knob | ginger | peeled
a thumb of ginger, finely grated | 1 | thumb | ginger | finely grated
walnut-sized piece of tamarind | 1 | piece | tamarind |
1 cinnamon stick | 1 | stick | cinnamon |
2 star anise | 2 | piece | star anise |
6 lime leaves | 6 | piece | lime leaves |
10 fresh basil leaves | 10 | leaf | fresh basil |
4 celery stalks with leaves, chopped | 4 | piece | celery stalks with leaves | chopped
2 heads of garlic, halved crossways | 2 | head | garlic | halved crossways
2 bulbs fennel, trimmed and sliced | 2 | bulb | fennel | trimmed and sliced
1 head broccoli, cut into florets | 1 | head | broccoli | cut into florets
8 slices streaky bacon, cooked crisp | 8 | slice | streaky bacon | cooked crisp
2 thick slices day-old bread, cubed | 2 | slice | bread | cubed
4 corn cobs | 4 | piece | corn cobs |
2 ears of corn, shucked | 2 | ear | corn |
12 lasagne sheets | 12 | sheet | lasagne |
2 chicken stock cubes | 2 | piece | chicken stock cubes |
1 vanilla pod, split | 1 | pod | vanilla |
20 g flat-leaf parsley, leaves picked and chopped | 20 | g | flat-leaf parsley | leaves picked and chopped
1 heaping tablespoon peanut butter | 1 | tbsp | peanut butter |
1 generous handful rocket | 1 | handful | rocket |
2 level tsp baking powder | 2 | tsp | baking powder |
1 packed cup brown sugar | 1 | cup | brown sugar |
2 scant cups flour | 2 | cup | flour |
2 dsp cornflour | 4 | tsp | cornflour |
3 Tbsp. white wine vinegar | 3 | tbsp | white wine vinegar |
1 Tblsp soy sauce | 1 | tbsp | soy sauce |
2 C flour | 2 | cup | flour |
4 ozs. cheddar | 4 | oz | cheddar |
2 pts chicken stock | 2 | ukPint | chicken stock |
750 mls water | 750 | ml | water |
1 ltr vegetable stock | 1 | l | vegetable stock |
salt | | | salt |
Freshly ground black pepper | | | black pepper | freshly ground
oil, for deep frying | | | oil |
flour for dusting | | | flour |
a little milk, to glaze | | | milk |
a few drops of vanilla | | | vanilla |
some leftover roast chicken, shredded | | | roast chicken | shredded
several bay leaves | | | bay leaves |
Fresh mint leaves, to garnish | | | fresh mint leaves |
chopped coriander, to serve | | | coriander | chopped
splash of milk | 1 | splash | milk |
drizzle of honey | 1 | drizzle | honey |
small handful of mint, leaves only | 1 | handful | mint | leaves only
knob of ginger | 1 | knob | ginger |
500g lean minced turkey | 500 | g | lean minced turkey |
400 g ground pork | 400 | g | pork | ground
1 tsp ground coriander | 1 | tsp | ground coriander |
2 tsp freshly ground cumin | 2 | tsp | cumin | freshly ground
1 tbsp toasted sesame oil | 1 | tbsp | toasted sesame oil |
100 g toasted hazelnuts, roughly chopped | 100 | g | hazelnuts | toasted, roughly chopped
3 ripe bananas, mashed | 3 | piece | bananas | mashed
2 very ripe plantains, peeled and sliced on the diagonal | 2 | piece | plantains | peeled and sliced on the diagonal
450 g diced stewing lamb | 450 | g | stewing lamb | diced
150 g frozen peas, thawed | 150 | g | frozen peas | thawed
200 g cold butter, cut into small cubes | 200 | g | cold butter | cut into small cubes
2 tbsp butter, melted and cooled | 2 | tbsp | butter | melted and cooled
1 cup warm water (110°F) | 1 | cup | warm water |
300 ml boiling water | 300 | ml | boiling water |
4 spring onions (scallions), thinly sliced | 4 | piece | spring onions | thinly sliced
1 green pepper (capsicum), cored and diced | 1 | piece | green pepper | cored and diced
2 aubergines, about 600 g, diced | 2 | piece | aubergines | diced
1 medium-sized swede | 1 | piece | swede |
1 extra large egg | 1 | piece | egg |
2 tbsp tomato purée (paste) | 2 | tbsp | tomato purée |
150ml vegetable or chicken stock | 150 | ml | vegetable stock |
1 tbsp sunflower or rapeseed oil | 1 | tbsp | sunflower oil |
1 ripe pear or apple, cored | 1 | piece | pear | cored
For the stew | heading | | For the stew |
To serve: | heading | | To serve |
For the base: | heading | | For the base |
# Ingredients | heading | | Ingredients |
Sauce: | heading | | Sauce |
SAUCE | heading | | SAUCE |
3 Stangen Sellerie, gewürfelt | 3 | stalk | Sellerie | gewürfelt
2 Knoblauchzehen, gepresst | 2 | clove | Knoblauch | gepresst
1/2 TL Pfeffer | 1/2 | tsp | Pfeffer |
1 Zwiebel, fein gehackt | 1 | piece | Zwiebel | fein gehackt
250 g Magerquark | 250 | g | Magerquark |
1 Becher Sahne (200 g) | 200 | g | Sahne |
2 gestrichene EL Mehl | 2 | tbsp | Mehl |
Saft von 1 Zitrone | 1 | piece | Zitrone | Saft
Salz und Pfeffer | | | Salz |
+ | | | Pfeffer |
Für den Teig: | heading | | Für den Teig |
6 pommes de terre, épluchées | 6 | piece | pommes de terre | épluchées
1 cuillère à soupe de miel | 1 | tbsp | miel |
2 branches de thym | 2 | stalk | thym |
50 g de beurre fondu | 50 | g | beurre | fondu
1 filet d'huile d'olive | 1 | drizzle | huile d'olive |
le jus d'un citron | 1 | piece | citron | jus
Pour la sauce : | heading | | Pour la sauce |
400 g di farina 00 | 400 | g | farina 00 |
1 mazzetto di basilico | 1 | bunch | basilico |
3 foglie di alloro | 3 | leaf | alloro |
1 cipolla tritata | 1 | piece | cipolla | tritata
2 etti di prosciutto | 200 | g | prosciutto |
1 cebolla picada | 1 | piece | cebolla | picada
2 tazas de arroz | 2 | cup | arroz |
1 lata de tomate (400 g) | 400 | g | tomate |
un chorrito de vinagre | 1 | splash | vinagre |
`;
