// The baseline of the start: a page with the same router and nothing else.
import { createRoot } from 'react-dom/client'
import { createBrowserRouter } from 'react-router'
import { RouterProvider } from 'react-router/dom'

const router = createBrowserRouter([{ path: '*', element: <h1>bare</h1> }])
const root = document.getElementById('root')
if (root !== null) createRoot(root).render(<RouterProvider router={router} />)
