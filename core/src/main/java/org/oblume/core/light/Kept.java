package org.oblume.core.light;

import java.util.LinkedHashMap;
import java.util.Map;
import java.util.function.Supplier;

/** What was worked out and is asked for again soon: the last so many. For several threads; two that ask at once may both work. */
public final class Kept<K, V> {

    private final Map<K, V> all;

    public Kept(int most) {
        all = new LinkedHashMap<>(16, 0.75f, true) {

            private static final long serialVersionUID = 1;

            @Override
            protected boolean removeEldestEntry(Map.Entry<K, V> eldest) {
                return size() > most;
            }
        };
    }

    public V get(K key, Supplier<V> work) {
        synchronized (all) {
            V before = all.get(key);
            if (before != null) {
                return before;
            }
        }
        V made = work.get();
        synchronized (all) {
            all.put(key, made);
        }
        return made;
    }
}
