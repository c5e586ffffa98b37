package istmo.app.gadgets;

import istmo.core.measuring.Gauge;
import istmo.core.measuring.StandIn;
import istmo.core.mechanics.Tempo;
import istmo.core.watching.RepetitionFinder.Sample;
import istmo.core.watching.StandInMotion;
import istmo.core.watching.StandInMotion.Sensor;
import java.io.IOException;
import java.io.OutputStream;
import java.io.PipedInputStream;
import java.io.PipedOutputStream;
import java.io.UncheckedIOException;
import java.net.URI;
import java.net.http.HttpClient;
import java.net.http.HttpRequest;
import java.net.http.HttpResponse;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.concurrent.TimeUnit;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.beans.factory.DisposableBean;
import org.springframework.boot.web.server.context.WebServerInitializedEvent;
import org.springframework.context.event.EventListener;
import org.springframework.stereotype.Component;

/**
 * Stand-in gadgets of the demo: they speak the same lines over the same HTTP as a real gadget, from
 * a thread of this process.
 */
@Component
public class StandInGadgets implements DisposableBean {
  private static final Logger LOG = LoggerFactory.getLogger(StandInGadgets.class);
  private static final long LASTS_MS = 20_000;

  /** A gap in the stream, so that a dropout is seen. */
  private static final long DROPOUT_FROM_MS = 400;

  private static final long DROPOUT_TO_MS = 2_100;

  private final HttpClient http = HttpClient.newHttpClient();
  private final ExecutorService threads =
      Executors.newCachedThreadPool(
          runnable -> {
            Thread thread = new Thread(runnable, "stand-in gadget");
            thread.setDaemon(true);
            return thread;
          });
  private volatile int port;

  /** Learns the port at which the application listens. */
  @EventListener
  public void started(WebServerInitializedEvent event) {
    port = event.getWebServer().getPort();
  }

  /** Begins to send a reading that comes to rest; ends by itself, or when the link is closed. */
  public void send(String code, Gauge gauge, double truth, boolean withDropout) {
    StandIn gadget = new StandIn(gauge, truth, code.hashCode());
    List<Sample> readings = new ArrayList<>();
    for (long t = 0; t <= LASTS_MS; t += StandIn.EVERY_MS) {
      if (!withDropout || t <= DROPOUT_FROM_MS || t >= DROPOUT_TO_MS) {
        readings.add(new Sample(t / 1000.0, gadget.reading(t)));
      }
    }
    send(code, gauge, readings);
  }

  /** Begins to do a set as an invented lifter does it: a bar's height, or a thigh's tilt. */
  public void lift(String code, Gauge gauge, int repetitions, Tempo asked) {
    boolean bar = gauge == Gauge.LENGTH;
    double range = bar ? 0.52 : 78;
    Sensor sensor = new Sensor(50, bar ? 0.002 : 0.4, 0.004, 0.001, 0.01);
    send(
        code,
        gauge,
        StandInMotion.samples(
            StandInMotion.tiring(repetitions, asked, range),
            bar ? 1.45 : 88,
            bar ? 0.03 : 4,
            false,
            sensor,
            code.hashCode()));
  }

  private void send(String code, Gauge gauge, List<Sample> readings) {
    threads.execute(
        () -> {
          try (PipedOutputStream out = new PipedOutputStream()) {
            PipedInputStream in = new PipedInputStream(out, 1 << 16);
            HttpRequest request =
                HttpRequest.newBuilder(
                        URI.create(
                            "http://127.0.0.1:" + port + "/api/gadget-links/" + code + "/lines"))
                    .header("content-type", "application/x-ndjson")
                    .POST(HttpRequest.BodyPublishers.ofInputStream(() -> in))
                    .build();
            var answer = http.sendAsync(request, HttpResponse.BodyHandlers.discarding());
            long begun = System.nanoTime();
            for (Sample reading : readings) {
              if (answer.isDone()) {
                return;
              }
              long t = Math.round(1000 * reading.timeS());
              Thread.sleep(
                  Math.max(0, t - TimeUnit.NANOSECONDS.toMillis(System.nanoTime() - begun)));
              line(out, gauge, reading.position(), t);
            }
          } catch (IOException | UncheckedIOException e) {
            LOG.debug("the link of a stand-in gadget ended", e);
          } catch (InterruptedException e) {
            Thread.currentThread().interrupt();
          }
        });
  }

  private static void line(OutputStream out, Gauge gauge, double value, long t) throws IOException {
    String text =
        String.format(
            Locale.ROOT,
            "{\"kind\":\"%s\",\"unit\":\"%s\",\"value\":%.4f,\"t\":%d}%n",
            gauge.name().toLowerCase(Locale.ROOT),
            gauge.unit(),
            value,
            t);
    out.write(text.getBytes(StandardCharsets.UTF_8));
    out.flush();
  }

  @Override
  public void destroy() {
    threads.shutdownNow();
  }
}
