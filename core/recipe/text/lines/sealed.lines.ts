/**
 * Lines labelled before the reader learned its shapes and never tuned on: only how many are right is printed, never which.
 * Written | amount (low to high) | unit | name | form as written. A line that begins with `+` is one more ingredient of the line above.
 */
export const sealedLines = `
1 cup unsweetened soy yoghurt | 1 | cup | unsweetened soy yoghurt |
2 cups chopped fresh parsley, loosely packed | 2 | cup | fresh parsley | chopped
3 large carrots, peeled and cut into coins | 3 | piece | carrots | peeled and cut into coins
450g/1lb braising steak, cut into large chunks | 450 | g | braising steak | cut into large chunks
1 x 400g can black beans, drained and rinsed | 400 | g | black beans | drained and rinsed
2 garlic cloves, finely chopped | 2 | clove | garlic | finely chopped
1 tbsp olive oil, plus extra for the tin | 1 | tbsp | olive oil |
salt and freshly ground black pepper | | | salt |
+ | | | black pepper | freshly ground
½ tsp ground turmeric | 1/2 | tsp | ground turmeric |
1½ lb boneless skinless chicken thighs | 3/2 | lb | boneless skinless chicken thighs |
4 to 6 medium floury potatoes, scrubbed | 4 to 6 | piece | floury potatoes | scrubbed
250 ml (about 1 cup) vegetable stock | 250 | ml | vegetable stock |
Juice of half a lemon | 1/2 | piece | lemon | juice
Grated zest of 2 limes | 2 | piece | limes | grated zest
one 2-inch piece fresh ginger, peeled and grated | 1 | piece | fresh ginger | peeled and grated
1 (14.5 oz) can diced tomatoes | 29/2 | oz | tomatoes | diced
2 Tbsp cornflour mixed with 2 Tbsp water | 2 | tbsp | cornflour |
1 Tbs brown sugar | 1 | tbsp | brown sugar |
5 c. water | 5 | cup | water |
3 lbs. pork shoulder, trimmed of fat | 3 | lb | pork shoulder | trimmed
a large handful of baby spinach, washed | 1 | handful | baby spinach | washed
Pinch of grated nutmeg | 1 | pinch | nutmeg | grated
2 bay leaves | 2 | piece | bay leaves |
8 sprigs thyme, leaves picked | 8 | sprig | thyme | leaves picked
1 small bunch of coriander, stalks finely chopped | 1 | bunch | coriander | stalks finely chopped
1 stick cinnamon | 1 | stick | cinnamon |
1/2 head of cauliflower, broken into florets | 1/2 | head | cauliflower | broken into florets
3 ribs celery, diced | 3 | rib | celery | diced
1 knob of butter | 1 | knob | butter |
A good glug of rapeseed oil | 1 | glug | rapeseed oil |
1 thumb-sized piece of ginger, grated | 1 | thumb | ginger | grated
6 slices white bread, crusts removed | 6 | slice | white bread | crusts removed
4 salmon fillets, skin on | 4 | fillet | salmon | skin on
1 kg 500 g lamb neck, in chunks | 1500 | g | lamb neck | in chunks
1 lb 8 oz swede, peeled and cubed | 24 | oz | swede | peeled and cubed
2 tbsp plus 2 tsp white miso | 8 | tsp | white miso |
1/4 cup + 2 tablespoons tahini | 6 | tbsp | tahini |
3 x 200 g packs halloumi, sliced | 600 | g | halloumi | sliced
2 (15-ounce) cans cannellini beans, drained | 30 | oz | cannellini beans | drained
1 can coconut milk (400 ml) | 400 | ml | coconut milk |
one 700 g jar passata | 700 | g | passata |
2 tins sardines | 2 | tin | sardines |
1 packet instant yeast | 1 | pack | instant yeast |
100-120 g walnuts, toasted | 100 to 120 | g | walnuts | toasted
2–3 tbsp harissa | 2 to 3 | tbsp | harissa |
1 or 2 green chillies, deseeded and sliced | 1 to 2 | piece | green chillies | deseeded and sliced
between 3 and 4 cups stock | 3 to 4 | cup | stock |
up to 100 ml pasta water | 0 to 100 | ml | pasta water |
roughly 600 g squash, peeled, seeds out | 600 | g | squash | peeled, seeds out
ca. 80 g Parmesan, grated | 80 | g | Parmesan | grated
a scant teaspoon of fennel seeds | 1 | tsp | fennel seeds |
2 heaped tbsp cocoa powder | 2 | tbsp | cocoa powder |
1 rounded tsp smoked paprika | 1 | tsp | smoked paprika |
1 level dessertspoon honey | 2 | tsp | honey |
three medium eggs, beaten | 3 | piece | eggs | beaten
Two dozen mussels, debearded | 24 | piece | mussels | debearded
half an onion, thinly sliced | 1/2 | piece | onion | thinly sliced
a few basil leaves, torn | | | basil | torn
some crusty bread, to serve | | | crusty bread |
vegetable oil for frying | | | vegetable oil |
Sea salt flakes, to finish | | | sea salt flakes |
1.5 litres chicken stock | 3/2 | l | chicken stock |
1,000 g bread flour | 1000 | g | bread flour |
0,25 l Sahne | 1/4 | l | Sahne |
1.200 g Kartoffeln, geschält | 1200 | g | Kartoffeln | geschält
2 EL Butter, weich | 2 | tbsp | Butter | weich
1 TL Salz | 1 | tsp | Salz |
1 Bund Petersilie, gehackt | 1 | bunch | Petersilie | gehackt
3 Zehen Knoblauch | 3 | clove | Knoblauch |
1 Dose Kichererbsen (400 g) | 400 | g | Kichererbsen |
1 Pck. Backpulver | 1 | pack | Backpulver |
500 g Hackfleisch | 500 | g | Hackfleisch |
2 Stangen Lauch | 2 | stalk | Lauch |
etwas Öl | | | Öl |
200 g de farine | 200 | g | farine |
1 c. à s. d'huile d'olive | 1 | tbsp | huile d'olive |
2 c. à c. de cumin | 2 | tsp | cumin |
1 pincée de sel | 1 | pinch | sel |
3 oignons émincés | 3 | piece | oignons | émincés
25 cl de crème fraîche | 25 | cl | crème fraîche |
une gousse d'ail | 1 | clove | ail |
1 botte de radis | 1 | bunch | radis |
300 g di pomodori | 300 | g | pomodori |
2 spicchi d'aglio | 2 | clove | aglio |
1 cucchiaino di zucchero | 1 | tsp | zucchero |
un pizzico di sale | 1 | pinch | sale |
q.b. olio extravergine | | | olio extravergine |
2 dientes de ajo, picados | 2 | clove | ajo | picados
1 cucharadita de comino | 1 | tsp | comino |
1 pizca de sal | 1 | pinch | sal |
500 ml de leche | 500 | ml | leche |
▢ 1 cup long grain rice, rinsed well | 1 | cup | long grain rice | rinsed
• 2 leeks (white part only), sliced | 2 | piece | leeks | sliced
- 150g frozen peas | 150 | g | frozen peas |
* 1 tsp mustard powder | 1 | tsp | mustard powder |
1. 300 g lentils | 300 | g | lentils |
120g (4oz) butter, cubed | 120 | g | butter | cubed
1 pint/570ml milk | 570 | ml | milk |
8 oz / 225 g mushrooms, quartered | 225 | g | mushrooms | quartered
1 cup (8 fl oz) buttermilk | 1 | cup | buttermilk |
2 courgettes (approx. 400g), grated | 2 | piece | courgettes | grated
1 butternut squash (1.2 kg), peeled and cubed | 1 | piece | butternut squash | peeled and cubed
100g mature cheddar, coarsely grated | 100 | g | mature cheddar | coarsely grated
6 vine tomatoes, skinned and roughly chopped | 6 | piece | vine tomatoes | skinned and roughly chopped
200 g cooked basmati rice | 200 | g | basmati rice | cooked
500 g minced lamb | 500 | g | lamb | minced
50 g melted butter | 50 | g | butter | melted
400 g peeled prawns, thawed | 400 | g | prawns | peeled, thawed
1 tbsp freshly squeezed orange juice | 1 | tbsp | orange juice | freshly squeezed
2 hard-boiled eggs, halved | 2 | piece | eggs | hard-boiled, halved
150 g pitted black olives | 150 | g | black olives | pitted
2 tablespoons finely chopped shallot | 2 | tbsp | shallot | finely chopped
200g sliced chestnut mushrooms | 200 | g | chestnut mushrooms | sliced
For the crumble topping: | heading | | For the crumble topping |
DRESSING | heading | | DRESSING |
## To finish | heading | | To finish |
**For the dough** | heading | | For the dough |
1 litre water (20 C) | 1 | l | water |
2 aubergines, cut into 2cm dice | 2 | piece | aubergines | cut into 2cm dice
400 g beef, in 3 cm cubes | 400 | g | beef | in 3 cm cubes
4 celery sticks, cut into 5 mm slices | 4 | stick | celery | cut into 5 mm slices
1 lemon, juiced | 1 | piece | lemon | juiced
2 oranges, zest and juice | 2 | piece | oranges | zest and juice
1 tsp vanilla extract or paste | 1 | tsp | vanilla extract |
200 ml double cream or crème fraîche | 200 | ml | double cream |
2 tablespoons butter (optional) | 2 | tbsp | butter |
1 small red onion - finely diced | 1 | piece | red onion | finely diced
¾ cup (175 ml) lukewarm milk | 3/4 | cup | lukewarm milk |
5 cm piece of root ginger, sliced | 1 | piece | root ginger | sliced
10 black peppercorns | 10 | piece | black peppercorns |
3 cardamom pods, crushed | 3 | pod | cardamom | crushed
2 ears sweetcorn, kernels cut off | 2 | ear | sweetcorn | kernels cut off
4 sheets filo pastry | 4 | sheet | filo pastry |
1 ball mozzarella, torn | 1 | ball | mozzarella | torn
1 cube vegetable stock | 1 | cube | vegetable stock |
a splash of white wine | 1 | splash | white wine |
3 drops almond essence | 3 | drop | almond essence |
a dash of Worcester sauce | 1 | pinch | Worcester sauce |
2 quarts vegetable broth | 2 | usQuart | vegetable broth |
1/2 gal. cider vinegar | 1/2 | usGallon | cider vinegar |
12 oz. beer | 12 | oz | beer |
6 fl oz white wine | 6 | usFlOz | white wine |
1 T. soy sauce | 1 | tbsp | soy sauce |
2 t. caster sugar | 2 | tsp | caster sugar |
about ten dried apricots, chopped | 10 | piece | dried apricots | chopped
2 spring onions, green parts only, sliced | 2 | piece | spring onions | sliced
700 g skinless cod, cut in large pieces | 700 | g | skinless cod | cut in large pieces
1 egg yolk | 1 | piece | egg yolk |
4 eggs, separated | 4 | piece | eggs | separated
`;
