package elvaro.bench;

import elvaro.server.support.Client;
import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.concurrent.TimeUnit;
import java.util.concurrent.atomic.AtomicInteger;

/**
 * An even load, bounded in count and time: each request has its moment, and its time is counted from that moment, so that
 * a server that falls behind is not flattered by callers that wait for it.
 */
final class Load {
    private Load() {}

    /** One request of one worker; false if it failed. */
    interface Call {
        boolean run(int worker) throws Exception;
    }

    static Result run(List<Client> people, String path, int perSecond, int seconds) throws InterruptedException {
        return run(
                people.size(), perSecond, seconds, worker -> people.get(worker).status(path) == 200);
    }

    static Result run(int workers, int perSecond, int seconds, Call call) throws InterruptedException {
        int total = perSecond * seconds;
        long gap = TimeUnit.SECONDS.toNanos(1) / perSecond;
        List<Long> nanos = Collections.synchronizedList(new ArrayList<>(total));
        AtomicInteger next = new AtomicInteger();
        AtomicInteger failures = new AtomicInteger();
        long began = System.nanoTime();
        ExecutorService pool = Executors.newFixedThreadPool(workers);
        for (int worker = 0; worker < workers; worker++) {
            int mine = worker;
            pool.execute(() -> {
                for (int turn = next.getAndIncrement(); turn < total; turn = next.getAndIncrement()) {
                    long due = began + turn * gap;
                    awaitUntil(due);
                    if (!succeeds(call, mine)) {
                        failures.incrementAndGet();
                    }
                    nanos.add(System.nanoTime() - due);
                }
            });
        }
        pool.shutdown();
        if (!pool.awaitTermination(seconds * 4L + 60, TimeUnit.SECONDS)) {
            throw new IllegalStateException("The load did not end in time");
        }
        double took = (System.nanoTime() - began) / 1e9;
        return new Result(nanos.stream().sorted().toList(), failures.get(), total / took);
    }

    private static boolean succeeds(Call call, int worker) {
        try {
            return call.run(worker);
        } catch (Exception failure) {
            return false;
        }
    }

    private static void awaitUntil(long due) {
        long left = due - System.nanoTime();
        if (left > 0) {
            java.util.concurrent.locks.LockSupport.parkNanos(left);
        }
    }
}
