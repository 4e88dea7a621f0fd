/** The usual caution that stands at a step. None of them says that something is safe. */
export const CAUTIONS = {
  floor:
    'A filled tank loads the floor: whether this one carries it is for a structural engineer to say. Level the stand to 2 mm a metre.',
  lift: 'Over the rim with two people, gloves on, nothing below it. Local rules for lifting decide.',
  heavy:
    'That is more than two people lift over a rim: a hoist or a frame beside the tank, or smaller stones. Local rules for lifting decide.',
  wood: 'Eye protection and a dust mask where wood is sawn or drilled. Set it down, never drop it: the pane cracks.',
  stone: 'Eye protection and a dust mask when stone is split. Set it down, never drop it: the pane cracks.',
  glue: 'Liquid glue gets hot on fibre and gives off vapour: gloves, open window, nothing near the eyes. Follow the label.',
  silicone: 'Silicone gives off vapour while it cures: air the room. Follow the label.',
  dust: 'Dry substrate makes dust: pour low, mask on.',
  mist: 'Plants dry out in minutes: mist everything every ten minutes until the water covers it.',
  siphon: 'Start a siphon without swallowing. Conditioner goes in before any animal, as its label says.',
  power:
    'Power only after the fill, hands out, drip loops hung, residual-current device tested. Fixed wiring is an electrician’s.',
  gas: 'The CO2 cylinder stands upright and fixed in an aired room. Check every joint with soap water.',
  animals:
    'Nothing alive goes in today unless the filter is mature. Never release plants or animals outdoors.',
} as const;
