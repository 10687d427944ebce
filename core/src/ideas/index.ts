export { type Held, heldIdeas, repeated, shownIn, warning } from './held'
export { type IdeaChange, ratioIdeasOf, whatOf, whatWords } from './whatOf'
