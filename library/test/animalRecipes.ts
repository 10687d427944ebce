/** Animal dishes as people write them, with the original that their first part is, and what must be gone afterwards. */
export const ANIMAL_RECIPES: readonly { readonly text: string; readonly original: string }[] = [
  {
    original: 'beef_mince',
    text: `# Weeknight ragu

Serves 4

## Ingredients

- 500 g ground beef
- 1 onion, finely chopped
- 2 cloves garlic, chopped
- 2 tbsp olive oil
- 2 tbsp tomato paste
- 400 g canned tomatoes
- 150 ml red wine
- 1 tsp salt

## Method

1. Heat the oil and soften the onion and garlic for 8 minutes.
2. Add the ground beef and brown it for 10 minutes.
3. Stir in the tomato paste, pour in the wine and the tomatoes and season with the salt.
4. Simmer for 40 minutes.
`,
  },
  {
    original: 'meatball',
    text: `# Sunday meatballs

Serves 4

## Ingredients

- 400 g minced pork
- 1 egg
- 60 g breadcrumbs
- 3 tbsp milk
- 1 small onion, grated
- 1 tsp salt
- 1 tsp oregano
- 2 tbsp olive oil

## Method

1. Soak the breadcrumbs in the milk.
2. Mix the pork, egg, onion, salt and oregano into the crumbs.
3. Roll into 20 balls.
4. Fry in the oil for 10 minutes, turning.
`,
  },
  {
    original: 'egg_scrambled',
    text: `# Soft eggs

Serves 2

## Ingredients

- 5 eggs
- 3 tbsp whole milk
- 20 g butter
- 1/2 tsp salt

## Method

1. Beat the eggs with the milk and the salt.
2. Melt the butter over a low heat.
3. Add the eggs and cook gently, folding, for 4 minutes.
`,
  },
  {
    original: 'sauce_white',
    text: `# White sauce for lasagne

Makes about 600 g

## Ingredients

- 500 ml milk
- 40 g butter
- 40 g plain flour
- 1/2 tsp salt
- a pinch of nutmeg

## Method

1. Melt the butter, stir in the flour and cook for 2 minutes.
2. Whisk in the milk little by little.
3. Simmer for 8 minutes, whisking. Season with salt and nutmeg.
`,
  },
  {
    original: 'tuna_flaked',
    text: `# Tuna for sandwiches

Serves 4

## Ingredients

- 300 g canned tuna, drained
- 60 g plain yogurt
- 1 tbsp lemon juice
- 2 sticks celery, chopped
- 1/2 tsp salt

## Method

1. Flake the tuna with a fork.
2. Mix with the yogurt, lemon juice, celery and salt.
3. Chill for 1 hour.
`,
  },
  {
    original: 'pulled_pork',
    text: `# Pulled pork

Serves 6

## Ingredients

- 1 kg pork shoulder
- 2 tbsp smoked paprika
- 2 tbsp brown sugar
- 100 ml cider vinegar
- 200 ml chicken stock
- 2 tsp salt
- 2 tbsp sunflower oil

## Method

1. Rub the pork with the paprika, sugar and salt.
2. Brown the pork in the oil for 10 minutes.
3. Add the vinegar and the chicken stock, cover and simmer for 60 minutes.
4. Pull the pork apart and reduce the juices for 10 minutes with it.
`,
  },
  {
    original: 'meringue_foam',
    text: `# Meringue

Makes 400 g

## Ingredients

- 4 egg whites
- 220 g caster sugar
- 1 tsp lemon juice

## Method

1. Whip the egg whites with the lemon juice for 5 minutes.
2. Whip in the sugar, spoon by spoon, for 6 minutes.
`,
  },
  {
    original: 'custard_quiche',
    text: `# Quiche filling

Serves 6

## Ingredients

- 4 eggs
- 200 ml single cream
- 150 ml whole milk
- 80 g cheddar, grated
- 1 tsp salt
- a little nutmeg

## Method

1. Whisk the eggs with the cream, milk, salt and nutmeg.
2. Stir in the cheddar.
3. Pour into a dish and bake at 170 C for 35 minutes.
`,
  },
  {
    original: 'beef_patty',
    text: `# Burgers

Serves 4

## Ingredients

- 600 g beef mince
- 1 egg yolk
- 1 tbsp worcestershire sauce
- 1 tsp salt
- 1 tsp black pepper

## Method

1. Mix the mince with the egg yolk, worcestershire sauce, salt and pepper.
2. Shape into 4 patties 20 mm thick.
3. Grill for 10 minutes, turning once.
`,
  },
  {
    original: 'cream_pouring',
    text: `# Garlic cream

Serves 4

## Ingredients

- 250 ml heavy cream
- 10 g butter
- 1 clove garlic, crushed
- 2 g salt

## Method

1. Sweat the garlic in the butter for 2 minutes.
2. Add the cream and simmer for 3 minutes.
3. Season with the salt.
`,
  },
]
