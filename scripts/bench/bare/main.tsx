// The baseline of the typing bench: one React input and what was typed, nothing else.
import { useState } from 'react'
import { createRoot } from 'react-dom/client'

function Bare() {
  const [text, setText] = useState('6 tbsp')
  return (
    <>
      <input aria-label="bare" value={text} onChange={(event) => setText(event.target.value)} />
      <p>{text}</p>
    </>
  )
}
const root = document.getElementById('root')
if (root !== null) createRoot(root).render(<Bare />)
