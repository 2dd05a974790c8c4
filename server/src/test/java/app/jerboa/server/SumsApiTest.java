package app.jerboa.server;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import tools.jackson.databind.JsonNode;

/** The fixed calculators: their keys, their defaults, and one worked value of each. */
class SumsApiTest extends RunningServer {
    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {
                "poe-run|{'watts':25.5,'metres':100,'gauge':24,'pairs':2,'volts':50}|deviceVolts|45.13|true",
                "poe-run|{'watts':25.5,'metres':100,'gauge':24,'pairs':2,'volts':50}|portWatts|28.25|true",
                "poe-run|{'watts':25.5,'metres':100,'gauge':24,'pairs':2,'volts':50,'minDeviceVolts':46}|amps|0.565|false",
                "poe-run|{'watts':25.5,'metres':100,'gauge':24,'pairs':2,'volts':50,'copperClad':true}|loopOhms|13.675|true",
                "dc-run|{'supplyVolts':24,'amps':0.6,'metres':45,'gauge':24,'minDeviceVolts':21.6}|longestMetres|23.75|false",
                "dc-run|{'supplyVolts':24,'amps':0.6,'metres':45,'gauge':24,'minDeviceVolts':21.6}|dropVolts|4.55|false",
                "serial-timing|{'baud':9600,'cameras':2}|perCamera|32|",
                "coax|{'cable':'RG6','format':'1080p50'}|longestMetres|76.74|",
                "stream|{'width':1920,'height':1080,'fps':30,'codec':'H264','viewers':2,'uplinkMbps':20}|totalMbps|14.93|",
                "view|{'sensorWidthMm':36,'focalMm':9,'teleconverter':2,'panDegPerSecond':30}|crossingSeconds|3|",
                "travel|{'degrees':90,'topDegPerSecond':60,'accelDegPerSecond2':120}|seconds|2|",
                "late|{'degPerSecond':30,'oneWayMs':150,'pictureMs':50,'accelDegPerSecond2':100}|degrees|10.5|",
                "late|{'degPerSecond':30,'oneWayMs':200}|degrees|6|",
            })
    void worked(String name, String body, String key, double value, String works) {
        JsonNode out =
                new Client().sendText("POST", "/api/sums/" + name, body.replace('\'', '"')).json();
        assertThat(out.get(key).asDouble()).as(out.toString()).isCloseTo(value, within(0.01));
        if (works != null) {
            assertThat(out.get("works").asBoolean()).isEqualTo(Boolean.parseBoolean(works));
        }
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {
                "poe-run|{'watts':90,'metres':500,'gauge':28,'pairs':2,'volts':50}",
                "dc-run|{'supplyVolts':12,'watts':100,'metres':42,'gauge':24,'minDeviceVolts':10.8}",
            })
    void whatCannotWorkIsAnAnswer(String name, String body) {
        Answer answer = new Client().sendText("POST", "/api/sums/" + name, body.replace('\'', '"'));
        assertThat(answer.status()).isEqualTo(200);
        assertThat(answer.json().get("works").asBoolean()).isFalse();
        assertThat(answer.json().get("deviceVolts").isNull()).isTrue();
    }

    private static final String TWO_CAMERAS =
            """
            {"cameras":[{"id":1,"pan":{"top":60,"accel":120},"tilt":{"top":60,"accel":120}},
                        {"id":"b","pan":{"top":60,"accel":120},"tilt":{"top":60,"accel":120}}],
             "presets":[{"camera":1,"id":1,"pan":0,"tilt":0,"subject":"house"},
                        {"camera":1,"id":2,"pan":30,"tilt":0,"subject":"stone"},
                        {"camera":"b","id":1,"pan":0,"tilt":0,"subject":"stone"}],
             "takes":[{"camera":1,"preset":1,"start":0,"seconds":5},%s]}
            """;

    /** 30 degrees take 1 s, and half a second to settle. */
    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {
                "{'camera':1,'preset':2,'start':5,'seconds':5}|{'works':false,'late':[{'take':1,'seconds':1.5}],'changes':[{'take':1,'camera':'b','preset':1}]}",
                "{'camera':'b','preset':1,'start':5,'seconds':5}|{'works':true,'late':[],'changes':[]}",
                "{'camera':1,'preset':1,'start':5,'seconds':5}|{'works':true,'late':[],'changes':[]}",
            })
    void aShotList(String take, String expected) {
        Answer answer =
                new Client()
                        .sendText(
                                "POST",
                                "/api/sums/shot-list",
                                TWO_CAMERAS.formatted(take.replace('\'', '"')));
        assertThat(answer.text()).isEqualTo(expected.replace('\'', '"'));
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {
                "{'camera':9,'preset':1,'start':5,'seconds':5}|preset",
                "{'camera':1,'preset':1,'start':-5,'seconds':5}|start",
                "{'camera':1,'preset':1,'start':5,'seconds':-1}|seconds",
                "{'camera':{},'preset':1,'start':5,'seconds':1}|camera",
            })
    void aShotListThatCannotBe(String take, String field) {
        Answer answer =
                new Client()
                        .sendText(
                                "POST",
                                "/api/sums/shot-list",
                                TWO_CAMERAS.formatted(take.replace('\'', '"')));
        assertThat(answer.status()).isEqualTo(400);
        assertThat(answer.json().get("field").asString()).isEqualTo(field);
    }

    /** Twenty squares, alike but for the first. */
    private static String squares(String first, String others) {
        return "[" + first + (",[" + others + "]").repeat(19) + "]";
    }

    private Answer sum(String name, String body) {
        return new Client().sendText("POST", "/api/sums/" + name, body);
    }

    @Test
    void coloursAreComparedAndReadAndMatched() {
        assertThat(
                        sum("delta-e", "{\"lab1\":[50,2.6772,-79.7751],\"lab2\":[50,0,-82.7485]}")
                                .json()
                                .get("deltaE")
                                .asDouble())
                .isCloseTo(2.0425, within(0.0001));
        JsonNode chart =
                sum("chart", "{\"rgb\":" + squares("[255,10,10]", "104.25,104.25,104.25") + "}")
                        .json();
        assertThat(chart.get("unusable").toString()).isEqualTo("[0]");
        assertThat(chart.get("lab").get(0).isNull()).isTrue();
        assertThat(chart.get("lab").get(19).get(1).asDouble()).isCloseTo(0, within(1e-9));
        String dark = squares("[60,60,60]", "80,80,80");
        String light = squares("[75,75,75]", "100,100,100");
        JsonNode paint =
                sum(
                                "paint",
                                "{\"camera\":"
                                        + dark
                                        + ",\"reference\":"
                                        + light
                                        + ",\"knobs\":[{\"name\":\"iris\",\"least\":0,\"most\":20,\"now\":5,\"effect\":0.1}]}")
                        .json();
        assertThat(paint.get("moves").get(0).get("steps").asInt()).isBetween(4, 8);
        assertThat(paint.get("predicted").asDouble())
                .isLessThan(paint.get("before").asDouble() / 4);
        assertThat(paint.get("limits").toString()).isEqualTo("[]");
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {
                "delta-e|{\"lab1\":[1,2]}|lab1",
                "delta-e|{\"lab1\":[1,2,3],\"lab2\":[1,2,null]}|lab2",
                "chart|{\"rgb\":[[1,2,3]]}|rgb",
                "paint|{\"camera\":SQUARES,\"reference\":SQUARES,\"knobs\":[{\"name\":\"nose\"}]}|name",
                "paint|{\"camera\":SQUARES,\"reference\":SQUARES,\"knobs\":[{\"name\":\"iris\",\"least\":0,\"most\":9,\"now\":10,\"effect\":1}]}|now",
                "paint|{\"camera\":CLIPPED,\"reference\":SQUARES,\"knobs\":[]}|camera",
            })
    void coloursThatCannotBe(String sum, String body, String field) {
        Answer answer =
                sum(
                        sum,
                        body.replace("SQUARES", squares("[90,90,90]", "90,90,90"))
                                .replace("CLIPPED", squares("[90,90,90]", "255,90,90")));
        assertThat(answer.status()).as(answer.text()).isEqualTo(400);
        assertThat(answer.json().get("field").asString()).isEqualTo(field);
    }
}
