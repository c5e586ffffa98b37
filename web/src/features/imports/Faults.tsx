/** Everything in a file that cannot be used, each with its place. */
export function Faults({
  faults,
  count,
}: {
  faults: { field: string; message: string }[]
  count: number
}) {
  if (faults.length === 0) return null
  return (
    <div
      role="alert"
      className="max-h-48 overflow-auto border-l-2 border-warn bg-paper-2 px-3 py-1 text-sm"
    >
      <p>
        {count} {count === 1 ? 'place' : 'places'} cannot be used; nothing comes in until they are
        put right, or left out.
      </p>
      <ul>
        {faults.slice(0, 100).map((fault, k) => (
          <li key={k}>
            <b>{fault.field}</b>: {fault.message}
          </li>
        ))}
      </ul>
    </div>
  )
}
