export { type Held, heldIdeas, repeated, shownIn, warning } from './held'
export { type IdeaChange, whatOf, whatWords } from './whatOf'
