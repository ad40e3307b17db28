@echo off
rem Starts Fernwort with the Java of this machine, 25 or newer.
setlocal
set "java=java"
if defined JAVA_HOME set "java=%JAVA_HOME%\bin\java"
if "%~1"=="" (set "words=help") else (set "words=%*")
"%java%" --enable-native-access=ALL-UNNAMED --sun-misc-unsafe-memory-access=allow -XX:+UseSerialGC -jar "%~dp0..\app\fernwort.jar" %words%
