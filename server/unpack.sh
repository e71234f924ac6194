#!/bin/sh
# Unpacks the application into target/app and rehearses a start, which writes down the classes that are needed: later
# starts take a third of the time.
set -eu
cd "$(dirname "$0")/target"
rm -rf app
java -Djarmode=tools -jar oblume-server-*-exec.jar extract --destination app >/dev/null
mv app/oblume-server-*-exec.jar app/oblume.jar
cp ../java.options app/
# The archive names the jars as they are named here: a start has to be from this folder too.
cd app
java -XX:ArchiveClassesAtExit=classes.jsa -Dspring.context.exit=onRefresh -jar oblume.jar \
  --spring.datasource.url='jdbc:h2:mem:rehearsal;MODE=PostgreSQL;DATABASE_TO_LOWER=TRUE;DEFAULT_NULL_ORDERING=HIGH' \
  >rehearsal.log 2>&1 || { cat rehearsal.log; exit 1; }
