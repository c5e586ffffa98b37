package istmo.core.computing;

import com.github.benmanes.caffeine.cache.Cache;
import com.github.benmanes.caffeine.cache.Caffeine;
import java.util.Optional;
import java.util.concurrent.CompletableFuture;
import java.util.concurrent.CompletionException;
import java.util.function.Function;

/**
 * Results that are kept by what they depend on; the ones not used for longest go first. Any of them
 * may be lost at any time.
 *
 * <p>Nothing is computed while the cache holds a lock: the cache holds a promise, and whoever put
 * the promise there computes on its own thread. Others that ask for the same key wait for it,
 * except a worker, which computes the result for itself ({@link Workers}). The cache does its
 * housekeeping on the calling thread.
 *
 * @param <K> what a result depends on, with {@code equals} and {@code hashCode} by content
 * @param <V> result, never null
 */
public final class Kept<K, V> {
  private final Cache<K, CompletableFuture<V>> results;

  private Kept(int most) {
    this.results = Caffeine.newBuilder().maximumSize(most).executor(Runnable::run).build();
  }

  /** A cache that keeps at most so many results. */
  public static <K, V> Kept<K, V> atMost(int most) {
    return new Kept<>(most);
  }

  /**
   * The result for a key: the one that is kept, or else a newly computed one. A computation that
   * fails is not kept; its exception reaches everybody who waits for it.
   *
   * @param computation must not ask this cache for the same key
   */
  public V get(K key, Function<? super K, ? extends V> computation) {
    CompletableFuture<V> there = results.getIfPresent(key);
    if (there == null) {
      CompletableFuture<V> mine = new CompletableFuture<>();
      there = results.asMap().putIfAbsent(key, mine);
      if (there == null) {
        return computed(key, mine, computation);
      }
    }
    if (!there.isDone() && Workers.isWorker()) {
      return computation.apply(key);
    }
    try {
      return there.join();
    } catch (CompletionException e) {
      throw Workers.unchecked(e.getCause() == null ? e : e.getCause());
    }
  }

  /** The result for a key where it is kept; nothing is computed, and nobody is waited for. */
  public Optional<V> known(K key) {
    CompletableFuture<V> there = results.getIfPresent(key);
    return there != null && there.isDone() && !there.isCompletedExceptionally()
        ? Optional.of(there.join())
        : Optional.empty();
  }

  /** How many results are kept or being computed. */
  public long size() {
    return results.estimatedSize();
  }

  private V computed(
      K key, CompletableFuture<V> promise, Function<? super K, ? extends V> computation) {
    try {
      V result = computation.apply(key);
      promise.complete(result);
      return result;
    } catch (RuntimeException | Error e) {
      results.asMap().remove(key, promise);
      promise.completeExceptionally(e);
      throw e;
    }
  }
}
