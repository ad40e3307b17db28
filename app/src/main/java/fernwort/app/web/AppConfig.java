package fernwort.app.web;

import com.fasterxml.jackson.annotation.Nulls;
import fernwort.app.format.MessageModule;
import fernwort.app.format.OldNames;
import fernwort.core.format.Ids;
import fernwort.core.format.RigFormat;
import java.time.Clock;
import org.springframework.boot.jackson.autoconfigure.JsonMapperBuilderCustomizer;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;
import tools.jackson.core.JsonGenerator;
import tools.jackson.databind.JacksonModule;
import tools.jackson.databind.SerializationContext;
import tools.jackson.databind.ValueSerializer;
import tools.jackson.databind.module.SimpleModule;

/** The clock and the rig format, shared by all. */
@Configuration
class AppConfig {

  @Bean
  Clock clock() {
    return Clock.systemDefaultZone();
  }

  /** JSON has no word for "without end"; such a number is left out. */
  @Bean
  JacksonModule finiteNumbers() {
    return new SimpleModule("finite numbers")
        .addSerializer(Double.class, new FiniteNumber())
        .addSerializer(double.class, new FiniteNumber());
  }

  /** A list or a map that a program sends has no holes. */
  @Bean
  JsonMapperBuilderCustomizer noHoles() {
    return builder ->
        builder.changeDefaultNullHandling(nulls -> nulls.withContentNulls(Nulls.FAIL));
  }

  /** Programs read ids as texts. */
  @Bean
  JacksonModule ids() {
    return Ids.module();
  }

  /** Programs read sentences in metric units. */
  @Bean
  JacksonModule sayings() {
    return MessageModule.metric();
  }

  /** Programs find everything under the names of before as well. */
  @Bean
  JacksonModule oldNames() {
    return new OldNames();
  }

  private static final class FiniteNumber extends ValueSerializer<Double> {
    @Override
    public void serialize(Double value, JsonGenerator json, SerializationContext context) {
      if (Double.isFinite(value)) {
        json.writeNumber(value);
      } else {
        json.writeNull();
      }
    }
  }

  @Bean
  RigFormat rigFormat() {
    return new RigFormat();
  }
}
