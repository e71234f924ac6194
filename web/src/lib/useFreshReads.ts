import { outdate, outdateAll } from '@/api/reads'
import { useBook } from '@/stores/book'
import { useConnection } from '@/stores/connection'

/** Keeps what is shown current with what others change, and with all that was missed while the line was down. */
export function useFreshReads() {
  const book = useBook()
  const connection = useConnection()
  connection.onChanged((changed) => void outdate(changed, book.sceneOf))
  connection.onReconnect(() => void outdateAll())
}
