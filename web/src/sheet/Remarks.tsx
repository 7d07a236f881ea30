/** What a sheet says as a whole. */
export function Remarks({ list }: { list: readonly string[] }) {
  if (list.length === 0) return null;
  return (
    <div className="remarks" role="status">
      {list.map((remark) => (
        <p key={remark}>{remark}</p>
      ))}
    </div>
  );
}
