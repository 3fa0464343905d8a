package vanemend.app.store;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.Instant;
import java.util.Arrays;
import java.util.List;
import org.flywaydb.core.Flyway;
import org.flywaydb.core.api.MigrationVersion;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.DisplayName;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;
import org.springframework.core.env.Environment;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.jdbc.datasource.DriverManagerDataSource;
import tools.jackson.databind.node.ObjectNode;
import vanemend.app.Kept;
import vanemend.app.TestServer;
import vanemend.app.store.upgrade.Formats;
import vanemend.core.plan.FrozenPlan;
import vanemend.core.plan.RepairDraft;
import vanemend.core.record.RepairRecord;

@DisplayName("a store of the first release opens under this one")
class MigrationTest {
    private static DriverManagerDataSource source(String database) {
        Environment env = TestServer.bean(Environment.class);
        String url = env.getRequiredProperty("spring.datasource.url").replaceAll("/vanemend_test.*", "/" + database);
        return new DriverManagerDataSource(
                url, env.getRequiredProperty("spring.flyway.user"), env.getRequiredProperty("spring.flyway.password"));
    }

    private static Flyway flyway(String target) {
        return Flyway.configure()
                .dataSource(source("vanemend_old"))
                .locations("classpath:db/migration")
                .target(target)
                .load();
    }

    @Test
    void dentsOfAnOldRepairAndOfAStartedPlanAreStillThere() {
        JdbcClient old = first();
        flyway("2").migrate();
        Json json = TestServer.bean(Json.class);
        RepairDraft now = json.read(
                old.sql("SELECT draft FROM repair").query(String.class).single(), RepairDraft.class);
        assertThat(now.damages())
                .singleElement()
                .satisfies(d -> assertThat(d.depthMm()).isEqualTo(2.8));
        ObjectNode tree = json.tree(
                old.sql("SELECT plan FROM frozen_plan").query(String.class).single());
        Formats.plan(1, tree);
        FrozenPlan kept = json.read(tree, FrozenPlan.class);
        assertThat(kept.draft().damages()).isEqualTo(now.damages());
        assertThat(kept.workup().drawing().outline()).hasSize(8);
        assertThat(kept.workup().drawing().zones()).isNotEmpty();
        assertThat(kept.plan().loops()).isNotEmpty();
        assertThat(kept.plan().portions()).as("not known then").isEmpty();
        assertThat(kept.plan().recipe()).isEqualTo("dent-filler-putty");
        assertThat(kept.plan().ladder().rungs())
                .allSatisfy(r -> assertThat(r.leg()).isIn("shape", "fine"));
        assertThat(RepairRecord.of(kept, List.of(), Instant.parse("2026-11-24T09:00:00Z"))
                        .lots())
                .isNotEmpty();
        assertThat(org.assertj.core.api.Assertions.catchThrowable(
                        () -> old.sql("UPDATE frozen_plan SET plan = '{}'").update()))
                .as("a started plan is guarded again")
                .hasMessageContaining("never changed");
    }

    @ParameterizedTest(name = "from state {0}")
    @MethodSource("states")
    void everyEarlierStateOpensUnderThisOne(String state) {
        JdbcClient old = first();
        flyway(state).migrate();
        flyway("latest").migrate();
        assertThat(flyway("latest").info().current().getVersion()).isEqualTo(newest());
        Json json = TestServer.bean(Json.class);
        ObjectNode tree = json.tree(
                old.sql("SELECT plan FROM frozen_plan").query(String.class).single());
        Formats.plan(1, tree);
        assertThat(json.read(tree, FrozenPlan.class).draft().damages())
                .as("the plan, packed since")
                .isNotEmpty();
        assertThat(old.sql("SELECT COUNT(*) FROM repair WHERE closed_at IS NULL AND away_at IS NULL AND turn = 0")
                        .query(Integer.class)
                        .single())
                .isEqualTo(1);
        assertThat(old.sql("SELECT format FROM frozen_plan")
                        .query(Integer.class)
                        .single())
                .isEqualTo(1);
        assertThat(org.assertj.core.api.Assertions.catchThrowable(
                        () -> old.sql("DELETE FROM frozen_plan").update()))
                .hasMessageContaining("never deleted");
    }

    /** Every state of the tables that was ever released, but the newest. */
    static List<String> states() {
        empty();
        List<String> all = Arrays.stream(flyway("latest").info().all())
                .map(m -> m.getVersion().toString())
                .toList();
        return all.subList(0, all.size() - 1);
    }

    private static MigrationVersion newest() {
        return Arrays.stream(flyway("latest").info().all()).toList().getLast().getVersion();
    }

    @AfterEach
    void away() {
        JdbcClient.create(source("vanemend"))
                .sql("DROP DATABASE IF EXISTS vanemend_old")
                .update();
    }

    private static void empty() {
        JdbcClient admin = JdbcClient.create(source("vanemend"));
        admin.sql("DROP DATABASE IF EXISTS vanemend_old").update();
        admin.sql("CREATE DATABASE vanemend_old CHARACTER SET utf8mb4").update();
    }

    /** A store of the first release with a repair that was begun. */
    private static JdbcClient first() {
        empty();
        flyway("1").migrate();
        JdbcClient old = JdbcClient.create(source("vanemend_old"));
        old.sql("INSERT INTO account VALUES ('tam', 'Tam', 'TECHNICIAN', REPEAT('x', 60))")
                .update();
        ObjectNode plan = TestServer.bean(Json.class).tree(Kept.text("plan-first-release.json"));
        old.sql("INSERT INTO repair (draft, created_by, created_at, changed_by, changed_at, client_id)"
                        + " VALUES (?, 'tam', UTC_TIMESTAMP(3), 'tam', UTC_TIMESTAMP(3), UUID())")
                .param(plan.get("draft").toString())
                .update();
        old.sql("INSERT INTO frozen_plan VALUES (1, 'old-book', UTC_TIMESTAMP(3), 'tam', ?)")
                .param(plan.toString())
                .update();
        return old;
    }
}
