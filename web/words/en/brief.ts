/** What the brief says. */
export const BRIEF = {
  'animalForm.temperaturesTurned': 'must have the lower temperature first',
  'animalForm.unknown': 'is not on the list. Say what is known; what is left out is not judged.',
  'briefFollows.orderBy': '{supplier} must have the order by {day}, {away}.',
  'briefFollows.nothingToOrder': 'Nothing to order yet: the bench is empty.',
  'briefFollows.light': '{hours} h at {percent} % in week 1; never more than {most} h in the first months.',
  'briefFollows.co2': 'On at {co2On}, before the light at {on}, off with it.',
  'briefFollows.noCo2': 'None. Plants that need it are found on the Planting stage.',
  'briefFollows.upkeep': '{first} min of work in week 1, {last} in week 8: {litres} a change.',
  'briefFollows.cost': '{cost}, from the bench as it is now.',
  'briefStage.how': 'asked in the order of a first visit; every answer can wait',
  'briefStage.picturesKept': 'Kept on this machine, made small, without where they were taken.',
  'clientData.typeName': 'Type {client} to erase everything.',
  'clientData.whatErasingDoes':
    'A commission that is removed can be brought back for 30 days. Erasing is for good: name, place, words, pictures, notes, answers and log go, from every backup too, and all files are searched for the name afterwards; sizes, materials, orders and prices stay for the books, without the name.',
  'livestockPicker.lineTank': 'The line is the tank at {target}',
  'livestockPicker.shared': '; the wash is what all share, {from} to {to}',
  'livestockPicker.nothingShared': '; nothing is shared by all',
  'rescapeAnswer.draw':
    'on the bench, as exactly as you care to: what stays, is set again or leaves then follows from the drawing',
  'rescapeAnswer.drawn': 'what stays, is set again or leaves follows from the drawing',
  'rescapeAnswer.animals': 'Mark what lives in it under Animals. Local animal-welfare law applies.',
  'roomPlan.heights': '{sitting} sitting, {standing} standing; the tank stands {base} up',
  'visitSheet.room': 'mark seats, window; metres and eye height beside each',
  'visitSheet.pictures':
    'place from each seat · floor and stand · sockets · tap and drain · way in · label on the tank',
  'visitSheet.caution':
    'Whether a floor carries it is for a structural engineer; fixed wiring is for an electrician; lifting by local rules.',
  'questions.client': 'Who is it for, and where will it stand?',
  'questions.clientWhy': 'The order, the run sheet and the care guide are addressed by it.',
  'questions.occasion': 'Is there a day it must be ready for?',
  'questions.occasionWhy': 'A photograph or a show wants eight weeks of growth, an opening one quiet night.',
  'questions.day': 'Which day, with how many hands?',
  'questions.dayWhy': 'Every order-by day and the run sheet count back from it.',
  'questions.rescape':
    'Does it run already? What stays, what goes, how far is the filter, where are the animals meanwhile?',
  'questions.rescapeWhy':
    'What stays is not bought, poured or planted again; what is taken out was biofilter.',
  'questions.brokenDown':
    'Does anything come out of another scape that is broken down, or second-hand as one lot?',
  'questions.brokenDownWhy':
    'Its day settles when stone, soil and plants of it are here, and how many nights what lives waits.',
  'brokenDownList.add': 'Add a scape or a lot',
  'brokenDownList.price': 'All of it for',
  'brokenDownList.tank': 'tank too',
  'brokenDownList.name': 'Scape in the shop',
  'brokenDownList.which': 'Which scape or lot',
  'brokenDownList.day': 'Fetched on',
  'brokenDownList.how':
    'What comes out of it is said at each stone, layer, plant, device and animal, under “comes from”.',
  'livestockPicker.outOf': 'out of',
  'livestockPicker.anywhere': 'a dealer, or not said',
  'questions.story': 'What should it remind them of?',
  'questions.storyWhy': 'It stands with its pictures in the tray of the bench while you draw.',
  'questions.seats': 'From where is it looked at?',
  'questions.seatsWhy': 'Decides which way the wood points; each seat becomes a view of the bench.',
  'questions.window': 'Which side is the window, how far, how much sun?',
  'questions.windowWhy':
    'Beside a window the light starts an hour shorter; sun warms the water and feeds algae.',
  'questions.animals': 'What do they wish to see swim?',
  'questions.animalsWhy':
    'Held against water, stone, temperature, tank and each other before a stone is chosen.',
  'questions.keeper': 'Who keeps it, and how many minutes a week have they really?',
  'questions.keeperWhy': 'Set against the minutes that this scape asks.',
  'questions.co2': 'Injected CO2, and what may it cost?',
  'questions.co2Why': 'A set can cost more than a small build; without one the plant list shrinks.',
  'questions.schools': 'Which schools of water change, plant food and planting?',
  'questions.schoolsWhy':
    'Makes the dates, litres and doses of the first eight weeks, and the order of the build day.',
  'questions.budget': 'What may the material cost?',
  'questions.budgetWhy': 'The Tally holds every stone and cup against it.',
  'questions.owned': 'What do they own that goes in again?',
  'questions.ownedWhy': 'It joins the yard, marked as theirs, and is not bought.',
  'questions.tank': 'Inner length × width × height, bow, glass, water line, label (mm, L)',
  'questions.top': 'Rim, braces, chambers, anything fixed; lid, mat, film',
  'questions.route': 'Doors, lift (size, load), stairs, turns from the van',
  'questions.floor': 'Storey, stand (kg, feet, base); what is below',
  'questions.sockets': 'Sockets, circuit (A), what else is on it',
  'questions.tap': 'Tap GH, KH, pH, nitrate; winter and summer °C; metres to tap and drain',
  'questions.room': 'Room at its coldest and warmest (°C)',
  'briefFollows.lightByWindow':
    '{hours} h at {percent} % in week 1, an hour less for the window; never more than {most} h in the first months.',
  'briefFollows.co2Later': 'On at {co2On}, before the light at {on}, off with it; from {day} on.',
  'briefFollows.costAndBudget': '{cost}, {budget} agreed, from the bench as it is now.',
  'briefFollows.sittings':
    '{count, plural, one {One sitting} other {# sittings}} before it, the first on {day}. ',
  'rescapeAnswer.otherWater': 'Water from another tank',
} as const;
