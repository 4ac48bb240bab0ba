/** The shapes ingredient lines come in, each with its reading: written | amount (low to high) | unit | name | form as written. */
export const shapeLines = `
3 3/4 cups brown rice, rinsed | 3.75 | cup | brown rice | rinsed
2¼ tsp mustard seeds | 2.25 | tsp | mustard seeds | 
7⁄8 cup caster sugar | 0.875 | cup | caster sugar | 
1-1/4 cups breadcrumbs | 1.25 | cup | breadcrumbs | 
1 and a half cups oat milk | 1.5 | cup | oat milk | 
seven figs, halved | 7 | piece | figs | halved
half a dozen quail eggs | 6 | piece | quail eggs | 
a couple of apples, cored | 2 | piece | apples | cored
5-6 plums, stoned | 5 to 6 | piece | plums | stoned
1/4–1/2 tsp chilli flakes | 0.25 to 0.5 | tsp | chilli flakes | 
2 to 2 1/2 lb brisket | 2 to 2.5 | lb | brisket | 
between 50 and 75 ml rum | 50 to 75 | ml | rum | 
200g-250g kale, shredded | 200 to 250 | g | kale | shredded
4 or 5 anchovies | 4 to 5 | piece | anchovies | 
3 T soy milk | 3 | tbsp | soy milk | 
3 t caraway | 3 | tsp | caraway | 
1 Tb. tahini | 1 | tbsp | tahini | 
2 C. oat bran | 2 | cup | oat bran | 
9 fl. oz. kefir | 9 | usFlOz | kefir | 
2 qts. cider | 2 | usQuart | cider | 
5 dl single cream | 5 | dl | single cream | 
15 cc rose water | 15 | ml | rose water | 
3 level teaspoons bicarbonate of soda | 3 | tsp | bicarbonate of soda | 
1 generous cup grated courgette | 1 | cup | courgette | grated
1 heaped dessertspoon marmalade | 2 | tsp | marmalade | 
2 lb 6 oz gammon | 38 | oz | gammon | 
1 kg 200 g rump steak, diced | 1200 | g | rump steak | diced
2 tbsp + 1 tsp cornmeal | 7 | tsp | cornmeal | 
1 cup plus 3 tablespoons semolina | 19 | tbsp | semolina | 
1 litre and 250 ml ham stock | 1250 | ml | ham stock | 
3 x 250 g blocks tofu, pressed | 750 | g | tofu | pressed
2 (12 oz) bottles stout | 24 | oz | stout | 
1 tin (395 g) condensed milk | 395 | g | condensed milk | 
three 160-gram tins sweetcorn, drained | 480 | g | sweetcorn | drained
2 sachets (8 g each) vanilla sugar | 16 | g | vanilla sugar | 
half a 340 g jar roasted peppers | 170 | g | peppers | roasted
2 jars green olives, pitted | 2 | jar | green olives | pitted
150 g / 5½ oz feta, crumbled | 150 | g | feta | crumbled
4 oz/115 g lard | 115 | g | lard | 
2 cups (300 g) blueberries | 2 | cup | blueberries | 
600 ml (1 pint) single cream | 600 | ml | single cream | 
1 celeriac (about 700 g), peeled | 1 | piece | celeriac | peeled
juice of 3 oranges | 3 | piece | oranges | juice
finely grated zest of 1 grapefruit | 1 | piece | grapefruit | zest
up to 4 tbsp brandy | 0 to 4 | tbsp | brandy | 
approx. 350 g spelt | 350 | g | spelt | 
another 25 g butter, melted | 25 | g | butter | melted
5 stalks rhubarb, trimmed | 5 | stalk | rhubarb | trimmed
4 celery sticks, sliced | 4 | stick | celery | sliced
8 rashers smoked bacon | 8 | rasher | smoked bacon | 
1 thick slice sourdough, torn | 1 | slice | sourdough | torn
2 small bunches dill, chopped | 2 | bunch | dill | chopped
a handful of spinach | 1 | handful | spinach | 
12 black olives | 12 | piece | black olives | 
For the marinade: | heading | | For the marinade |
### Filling | heading | | Filling |
2,5 dl Milch | 2.5 | dl | Milch | 
1.250 g Mehl | 1250 | g | Mehl | 
1,500 g strong flour | 1500 | g | strong flour | 
3 EL Olivenöl | 3 | tbsp | Olivenöl | 
1 Prise Zucker | 1 | pinch | Zucker | 
2 cuillères à café de moutarde | 2 | tsp | moutarde | 
4 gousses d'ail, hachées | 4 | clove | ail | hachées
2 cucchiai di aceto | 2 | tbsp | aceto | 
3 cucharadas de pimentón | 3 | tbsp | pimentón | 
a few sprigs of rosemary | | | rosemary | 
olive oil, for drizzling | | | olive oil | 
some chives, snipped | | | chives | snipped
2 cups sifted icing sugar | 2 | cup | icing sugar | sifted
300 g minced pork | 300 | g | pork | minced
1 red pepper, deseeded, cut into 1 cm dice | 1 | piece | red pepper | deseeded, cut into 1 cm dice
4 trimmed, skinless duck legs | 4 | piece | duck legs, skinless | trimmed
1 ripe mango or papaya, sliced | 1 | piece | mango | sliced
120 ml warm water (40 C) | 120 | ml | warm water | 
`;
